export * from './box';
export * from './mark';
export * from './printable';
export * from './registry';
