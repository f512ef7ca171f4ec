export * from './units';
export * from './counted';
export * from './format';
export * from './parse';
