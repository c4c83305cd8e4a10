export { expectation, type Anchor } from './anchors';
export { alignTake, correctable, type Correctable, type Hearing } from './align';
export { likenessOf, type KeptLikeness, type Likeness, type SaidCepstra } from './likeness';
export type { Alignment, CueEvidence, Evidence, FoundCue, KeptWay, Remark, SpeechStretch } from './model';
