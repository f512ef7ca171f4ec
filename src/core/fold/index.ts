export * from './flat-fold';
export * from './fold';
export * from './schemes';
export * from './pose';
export * from './limits';
