import { withSlipsMended } from './slips';
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
  /^(?:and |then |now |slowly |gently )*(?:(?:outro|closing|close|ending|goodbyes?|bow|homework|for next (?:time|week))(?:[:,]| [–—=-]) ?|(?:we )?(?:finish|close|end) (?:with|by) (?:an? |the |some )?(?:bow|thank|goodbye|hug|clap)|(?:we )?bow (?:to|and)|say (?:thank|goodbye|bye)|thank|thanks|many thanks|thx|ty|cheers|love|warmly|(?:kind |warm |best )(?:regards|wishes)|bring|bye|goodbye|good ?night|see you|well done|that['’]?s (?:it|all)|that is (?:it|all)|when you(?:['’]re| are) ready|open (?:the|your) eyes|let (?:the|your) eyes open|come back|welcome back|have a (?:good|lovely|nice|calm)|until (?:next|tomorrow|monday|tuesday|wednesday|thursday|friday|saturday|sunday))\b/i;

const FAREWELL =
  /^(?:(?:and|so|ok|okay|that['’]?s (?:it|all)|well)[,.]? )*(?:(?:we )?(?:finish|close|end) (?:with|by) (?:an? |the |some )?(?:bow|thank|goodbye|hug|clap)|(?:we )?bow and (?:thank|go|say)|say (?:thank|goodbye|bye)|thank(?! (?:the|your|yourself)\b)|thanks|many thanks|bye|goodbye|good ?night|see you|farewell|take care|have a (?:good|lovely|nice|calm|great)|until (?:next|tomorrow)|same (?:time|place) (?:on|next|tomorrow|again))\b/i;

/** Whether words take leave: they end a class. */
export function isFarewell(text: string): boolean {
  return FAREWELL.test(withSlipsMended(text));
}

/** What brings people back out of a silence, at its end. */
export const CALLS_BACK =
  /^(?:and |then |now |so |very |slowly,? |gently,? |softly,? |in your own time,? )*(?:when you(?:['’]re| are) ready\b.{0,20}\b(?:eyes|back)|(?:open|let) (?:the|your) eyes(?: (?:open|come open))?\b|come (?:slowly |gently )?back|welcome back|bring (?:yourself|your (?:attention|awareness)) back)/i;

export function endsSilence(text: string): boolean {
  return ENDS_SILENCE.test(text);
}
