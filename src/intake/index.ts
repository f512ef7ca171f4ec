export type { NearEdge } from './near-edge';
export * from './painted';
export { NotReadable, readFile } from './read-file';
export * from './reply';
export type { IntakeRule, Order, Weight } from './rule';
export { INTAKE_RULES } from './rules';
