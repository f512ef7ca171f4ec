export * from './figure';
