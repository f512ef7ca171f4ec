export * from './build';
export * from './lab';
export * from './engine';
export * from './laid';
