// Elements are a job’s content; whoever reads jobs finds them here too.
export * from '../element';
export * from './schema';
export * from './blank-of';
export * from './read';
export * from './differences';
export * from './summary';
export * from './start';
export * from './describe';
export * from './house';
export * from './loose-ends';
export * from './read-length';
export * from './read-paint';
export * from './read-type';
export * from './remade';
