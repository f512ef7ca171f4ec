export * from './svg';
