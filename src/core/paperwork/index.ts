export * from './proof-sheet';
export * from './reply-sheet';
export { together } from './sheet';
