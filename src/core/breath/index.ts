export {
  breathsPerMinute,
  breathsPerRound,
  phaseSeconds,
  roundMilliseconds,
  type Pace,
  PHASE_KINDS,
  type PhaseKind,
  type PhaseLength,
} from './pattern';
export { closingBreathSeconds, inShareAlong, PACE_CURVES, paceMultiplier } from './profile';
export { lungsAfter, lungsAtStarts, lungsWithin } from './lungs';
export {
  LONG_REST,
  RESTING_AT_MOST,
  patternBreathsPerMinute,
  patternNotes,
  SLOW_BREATHING,
  type PatternNote,
} from './notes';
export { PRESET_IDS, PRESETS, type PresetId } from './presets';
export { BreathTones } from './tones';
