export { expectation, type Anchor } from './anchors';
export { alignTake, correctable, type Correctable, type Hearing } from './align';
export { cepstralDistances } from './acoustic/cepstral-distances';
export { packAlignment } from './codec';
export type {
  Alignment,
  CueEvidence,
  Evidence,
  FoundCue,
  PackedDistances,
  PackedWay,
  Remark,
  SpeechStretch,
} from './model';
export type { SaidCepstra, TextDistances } from './text-distances';
