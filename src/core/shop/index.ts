export * from './machine';
export * from './process';
export * from './records';
export * from './shelf';
export * from './opacity';
export * from './thickness';
export * from './closed-days';
export * from './coating';
