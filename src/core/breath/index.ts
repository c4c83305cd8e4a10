export {
  breathsPerMinute,
  breathsPerRound,
  phaseSeconds,
  roundMilliseconds,
  type Pace,
  type PhaseKind,
  type PhaseLength,
} from './pattern';
export { closingBreathSeconds, paceMultiplier, type PaceProfile } from './profile';
export { lungsAfter, lungsAtStarts, lungsWithin } from './lungs';
