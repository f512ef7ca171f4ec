export * from './content';
export * from './objects';
