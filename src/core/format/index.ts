export * from './blank';
export * from './format';
export * from './complete';
export * from './common-parameters';
export * from './sheet-fit';
export { Impossible, type Parameter, type ParameterKind } from './parameter';
export { otherFace } from './sides';
export { readOutline, openEnd } from './outline-text';
export * from './registry';
