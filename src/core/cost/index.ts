export * from './compare';
export * from './cost';
export * from './way';
export * from './report';
