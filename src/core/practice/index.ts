export {
  DRILLS,
  drillKind,
  makeDrill,
  markDrill,
  type Drill,
  type DrillKind,
  type Marked as MarkedDrill,
} from './drills';
export * from './marking';
export { makeRound, type Fault, type Round, type RoundAsked } from './round';
export * from './skill';
