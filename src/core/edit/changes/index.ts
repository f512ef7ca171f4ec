export * from './apply';
export * from './change';
export * from './file';
export * from './registry';
