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
export { announcementOf, sidesOf, turnsOf, type Turn } from './turns';
export { Wording, type Moment } from './wording';
export type { Cue, CueSource, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
export { packShape, shapeOf, unpackShape, type ShapeStretch } from './class-shape';
export { groupRounds, type RoundGroup } from './round-groups';
