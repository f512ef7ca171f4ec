export {
  DRILLS,
  drillKind,
  makeDrill,
  markDrill,
  type Drill,
  type DrillKind,
  type Marked as MarkedDrill,
} from './drills';
export * from './learner';
export * from './marking';
export { makeRound, shuffled, type Fault, type NoRound, type Round, type RoundAsked } from './round';
export * from './skill';
