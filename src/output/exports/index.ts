export * from './define';
export * from './registry';
