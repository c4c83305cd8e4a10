export { expectation, type Anchor } from './anchors';
export { alignTake, type Hearing } from './align';
export { likenessOf, type KeptLikeness, type Likeness, type SaidCepstra } from './likeness';
export type { Alignment, Evidence, FoundCue, Remark, SpeechStretch } from './model';
