export { expandPlan } from './expand';
export { cueAt, moreRoundsSeconds, nextCue, phaseAt, roundsPerformed, sharePercent, stepAt } from './query';
export { TOKENS } from './tokens';
export type { Cue, CueSource, Side, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
