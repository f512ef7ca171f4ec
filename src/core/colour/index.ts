export * from './build';
export * from './lab';
export * from './engine';
export * from './laid';
export * from './neighbours';
export * from './grey-balance';
