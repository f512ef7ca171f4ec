export * from './plan';
export * from './schedule';
export * from './steps';
