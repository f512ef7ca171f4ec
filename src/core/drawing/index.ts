export * from './drawing';
export * from './path';
