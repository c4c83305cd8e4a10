export { expandPlan, roundsPerformed } from './expand';
export { cueAt, moreRoundsSeconds, nextCue, phaseAt, stepAt } from './query';
export { TOKENS } from './tokens';
export type { Cue, CueSource, Side, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
