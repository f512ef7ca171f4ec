export * from './house-remarks';
export { applyChange, type Change, type Finding, type Fix, type Rule, type Severity } from './rule';
export * from './alike';
export * from './registry';
export * from './standing';
export * from './lost';
export * from './changes';
export { withinLimit } from './total-ink';
