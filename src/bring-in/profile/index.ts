export * from './little-cms';
