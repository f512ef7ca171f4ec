export * from './little-cms';
export * from './fetched';
export * from './read-profile';
