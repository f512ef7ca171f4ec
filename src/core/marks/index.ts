export * from './marks';
