export * from './paint';
export * from './placement';
export * from './element';
export * from './schema';
export * from './read';
export * from './differences';
export * from './summary';
