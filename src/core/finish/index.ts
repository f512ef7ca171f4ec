export * from './schema';
export * from './words';
