export { expectation, type Anchor } from './anchors';
export { alignTake, correctable, type Correctable, type Hearing } from './align';
export { cepstralDistances } from './acoustic/cepstral-distances';
export { OnlineAligner } from './online/online-aligner';
export type { OnlineStretch } from './online/online-speech';
export { packAlignment } from './codec';
export type { Alignment, CueEvidence, Evidence, PackedDistances, PackedWay, AdLib } from './model';
export type { SaidCepstra } from './text-distances';
