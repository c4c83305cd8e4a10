export { measureVoice, middleVoice, VOICE_LIMITS, type UsedVoice, type VoiceMeasure } from './measure';
export { VOICE_PARAGRAPH } from './paragraph';
export { VOICE_SOURCES, type VoiceSource } from './model';
export { wordsPerMinute } from './words-per-minute';
