export * from './read-picture';
