export * from './open-font';
export * from './font-set';
export * from './sfnt';
export * from './read-font';
