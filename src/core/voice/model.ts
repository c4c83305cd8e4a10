export const VOICE_SOURCES = ['typed', 'microphone', 'file', 'take'] as const;
/** Where a measure of a voice comes from. */
export type VoiceSource = (typeof VOICE_SOURCES)[number];
