export * from './read-outline';
export * from './reading';
