export {
  linesInRecording,
  linesShown,
  LOG_FORMAT,
  LOG_VERSION,
  readPerformanceLog,
  startByMarks,
  startInRecording,
  type LoggedEvent,
  type PerformanceLog,
} from './performance-log';
export {
  placeAt,
  projectedSeconds,
  READY,
  transition,
  movedBy,
  movesPlace,
  type HeardLine,
  type Course,
  type DoneEvent,
  type Effect,
  type Performance,
  type PerformanceEvent,
} from './conductor';
export { resumed, type BrokenOff } from './resume';
export { roundsBy, type Performed } from './rounds-by-hand';
export { isFollowed, LOST_SHARE } from './by-ear';
export { rateOf } from './rate';
export { stepsPerformed, wereChanged, type StepPerformed, type StepTime } from './steps-performed';
export { frozenSteps, isWorthChanging, lateBy, replan, type Replan } from './replan';
