export type { NearEdge } from './near-edge';
export * from './painted';
export { NotReadable, readFile } from './read-file';
export * from './reply';
export { placeWords, replyWords } from './reply-words';
export type { IntakeRule, Order, Weight } from './rule';
export { INTAKE_RULES } from './rules';
