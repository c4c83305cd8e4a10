export { expandPlan } from './expand';
export {
  cueAt,
  moreRoundsSeconds,
  nextCue,
  phaseAt,
  roundsPerformed,
  sharePercent,
  spellTimeline,
  stepAt,
} from './query';
export { sideTold } from './side-told';
export { performedName } from './performed-name';
export { Wording } from './wording';
export type { Cue, TimedPhase, TimedStep, Timeline } from './model';
export { packShape, shapeOf, unpackShape, type ShapeStretch } from './class-shape';
export { groupRounds, type RoundGroup } from './round-groups';
