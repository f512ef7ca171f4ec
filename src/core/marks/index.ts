export * from './marks';
export * from './process-layers';
export * from './dummy';
