import { countSyllables, wordsOf } from '@/core/speech';
import { VOICE_PARAGRAPH } from './paragraph';

/** A rate in words a minute, which is better known than one in syllables; a word is as long as in the voice's paragraph. */
export function wordsPerMinute(syllablesPerMinute: number): number {
  const words = VOICE_PARAGRAPH.flatMap((sentence) => wordsOf(sentence));
  return (syllablesPerMinute * words.length) / words.reduce((sum, word) => sum + countSyllables(word), 0);
}
