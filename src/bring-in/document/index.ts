export * from './read-document';
export * from './page-png';
