export { FRAME_SECONDS, LevelMeter, SILENCE_DECIBELS } from './level-meter';
export { speechSegments } from './speech-segments';
export { readWav, type MonoSound } from './wav';
