export * from './shape-path';
export * from './path-data';
export * from './outward';
export * from './dashes';
export * from './vector-art';
