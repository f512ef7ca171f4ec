export * from './read-outline';
