export { expandPlan, roundsPerformed } from './expand';
export { cueAt, nextCue, phaseAt, stepAt } from './query';
export { TOKENS } from './tokens';
export type { Cue, CueSource, Side, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
