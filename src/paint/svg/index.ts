export * from './svg';
export * from './blank-svg';
export * from './die-svg';
