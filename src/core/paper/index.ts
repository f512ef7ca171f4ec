export * from './sizes';
export * from './read-size';
