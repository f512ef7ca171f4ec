export * from './read-rows';
