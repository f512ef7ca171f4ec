export * from './plan';
export * from './schedule';
export * from './steps';
export * from './weeks';
