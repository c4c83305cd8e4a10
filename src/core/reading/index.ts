export { correct, readTake } from './read-take';
export { checkReading } from './schema';
export type { Correction, Corrections, CueReading, Reading, ReadingTotals } from './model';
