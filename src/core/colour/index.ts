export * from './build';
export * from './lab';
export * from './conversion';
export * from './engine';
export * from './laid';
export * from './neighbours';
export * from './grey-balance';
export * from './separate';
