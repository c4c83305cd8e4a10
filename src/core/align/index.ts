export { alignTake, type Hearing } from './align';
export { likenessOf, type Likeness, type SaidCepstra } from './likeness';
export type { Alignment, Evidence, FoundCue, Remark, SpeechStretch } from './model';
