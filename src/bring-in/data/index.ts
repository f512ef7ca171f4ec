export * from './read-data-file';
