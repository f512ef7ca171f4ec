export * from './svg';
export * from './blank-svg';
