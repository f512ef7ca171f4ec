export * from './copies';
export * from './database-file';
export * from './doctor';
export * from './hold';
export * from './packed';
export * from './prune';
