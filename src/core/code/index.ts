export * from './content';
export * from './modules';
export * from './symbology';
export * from './beneath';
