export * from './tokens';
export * from './record-set';
export * from './with-record';
