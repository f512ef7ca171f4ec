export * from './paint';
export * from './placement';
export * from './grid';
export * from './element';
