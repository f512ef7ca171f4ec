export * from './read-rows';
export * from './write-rows';
