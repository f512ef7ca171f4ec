export * from './geometry';
export * from './axis';
export * from './boxes';
export * from './place';
export * from './snap';
export * from './arrange';
export * from './path';
export * from './offset';
