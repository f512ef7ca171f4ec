export * from './build';
export * from './lab';
export * from './engine';
