export * from './proof-sheet';
export * from './reply-sheet';
export { together } from './sheet';
export * from './cutting-sheet';
export * from './letter-sheet';
export * from './docket-sheet';
