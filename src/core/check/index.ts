export * from './house-remarks';
export {
  RULE_IDS,
  applyChange,
  framed,
  type Change,
  type Finding,
  type Fix,
  type Framed,
  type Rule,
  type RuleId,
  type Severity,
  type Subject,
} from './rule';
export * from './alike';
export * from './registry';
export * from './drawn-copies';
export * from './standing';
export * from './lost';
export * from './changes';
export * from './in-document';
export { withinLimit } from './total-ink';
export { seenBackDrift } from './back-drift';
export { wouldCurl } from './curl';
export { pastFold } from './past-fold';
export { reachesOut } from './reaching';
export { darkBehind } from './show-through';
export { hasManyFamilies } from './type-families';
export { readableFrom } from './type-distance';
