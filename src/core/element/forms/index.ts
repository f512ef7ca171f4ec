export * from './define';
export * from './path-data';
export * from './registry';
export { mirroredData } from './path';
