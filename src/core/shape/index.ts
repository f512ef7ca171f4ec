export * from './outward';
export * from './dashes';
export * from './vector-art';
