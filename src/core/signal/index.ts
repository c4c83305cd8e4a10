export { Cepstra, CEPSTRA_SECONDS, COEFFICIENTS } from './cepstra';
export { Denoiser } from './denoiser';
export { joinSamples } from './join-samples';
export { FRAME_SECONDS, LevelMeter, SILENCE_DECIBELS } from './level-meter';
export { Resampler } from './resampler';
export { speechSegments } from './speech-segments';
export { voiceStretches, type VoiceStretch } from './voice-stretches';
export { readWav, type MonoSound } from './wav';
