export * from './read-asset';
