export * from './acuity';
export * from './contrast';
export * from './vision';
