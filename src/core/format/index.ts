export * from './blank';
export * from './format';
export * from './complete';
export * from './common-parameters';
export * from './sheet-fit';
export {
  Impossible,
  allowance,
  choice,
  count,
  length,
  number,
  size,
  solvedLength,
  text,
  ok,
  type Parameter,
  type ParameterKind,
  type ValuesOf,
} from './parameter';
export { otherFace } from './sides';
export { facingOf, isLeftPage, pageName, pageNumberOf } from './pages';
export { readOutline, openEnd } from './outline-text';
export * from './registry';
