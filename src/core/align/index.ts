export { alignTake } from './align';
export type { Alignment, Evidence, FoundCue, Remark } from './model';
