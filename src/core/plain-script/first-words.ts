import { wordAmong } from './tokens';

const BREATH_WORDS = ['inhale', 'exhale', 'inhaling', 'exhaling'] as const;

/** The first word of a line, in small letters. */
export function firstWord(text: string): string {
  return /^\p{L}+/u.exec(text)?.[0].toLowerCase() ?? '';
}

/** Whether a word leads a breath. */
export function isBreathWord(word: string): boolean {
  return word === 'in' || word === 'out' || wordAmong(word, BREATH_WORDS) !== null;
}
