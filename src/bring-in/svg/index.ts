export * from './read-svg';
