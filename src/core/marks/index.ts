export * from './marks';
export * from './process-layers';
