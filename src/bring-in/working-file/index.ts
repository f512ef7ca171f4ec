export * from './working-file';
