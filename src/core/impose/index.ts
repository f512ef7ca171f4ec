export * from './desk-sheet';
