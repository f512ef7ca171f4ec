export * from './normal';
export * from './random';
