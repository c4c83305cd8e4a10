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

/** What is written below a silence is said into it, but for what ends it. */
const ENDS_SILENCE =
  /^(?:and |then |now |slowly |gently )*(?:thank|thanks|bye|goodbye|good ?night|see you|well done|that['’]?s (?:it|all)|that is (?:it|all)|when you(?:['’]re| are) ready|open (?:the|your) eyes|let (?:the|your) eyes open|come back|welcome back|have a (?:good|lovely|nice|calm)|until (?:next|tomorrow|monday|tuesday|wednesday|thursday|friday|saturday|sunday))\b/i;

export function endsSilence(text: string): boolean {
  return ENDS_SILENCE.test(text);
}
