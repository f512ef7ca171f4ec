export * from './process';
export * from './records';
export * from './shelf';
export * from './thickness';
