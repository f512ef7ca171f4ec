export * from './blank';
export * from './parameter';
export * from './registry';
export * from './start';
export * from './describe';
