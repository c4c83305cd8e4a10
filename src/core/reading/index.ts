export { breathsTaken } from './breaths';
export {
  leastCertain,
  NO_HAND_WORK,
  withCue,
  withoutAdLib,
  withAdLibSplit,
  withAdLibText,
  withSureTaken,
} from './hand-work';
export { correct, readAgain, readingOf, readTake, withTimes } from './read-take';
export { handWorkSince2 } from './migrate';
export { checkReading } from './schema';
export { glanceOf, type TakeGlance } from './glance';
export { takeTimes } from './take-times';
export { CUT_REASONS } from './model';
export type { Corrections, CueReading, Cut, CutReason, HandWork, Reading, Recording, SecondRecording } from './model';
