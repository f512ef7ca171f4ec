export * from './marks';
export * from './process-layers';
export * from './dummy';
export * from './sheet-marks';
export * from './side-marks';
export { barPatches } from './colour-bar';
