import { remembered } from '@/core/units';
import { termsIn, type Term } from '@/core/words';

/*
 * What lines say, as far as the checks need to know it. Patterns are for small letters, except where said otherwise.
 * Common practice, no published source.
 */

/** "Last time we met" was another day. */
export const LAST =
  /\blast (?:one|round|breath|circle|pull)\b|(?:^|\b(?:one|an?|the|our|your|this|and|now|so) (?:very )?)last time\b(?! (?:we|i|you|they|he|she|it|somebody|someone)\b)|\bone last\b|\bfinal (?:one|round|time)\b/;
/** "On the last one, stay down", "until the last round": what is to come. */
const LAST_TO_COME = /\b(?:on|in|at|until|till|before|after) (?:the|our|your|that) (?:very )?(?:last|final) (?:one|round|breath|circle|pull)\b/; // prettier-ignore

/** Whether a text, in small letters, says that this round is the last. */
export function announcesLast(text: string): boolean {
  return LAST.test(text.replace(LAST_TO_COME, ''));
}
export const THANKS = /\bthanks?\b|\bthank you\b|\bgrateful\b/;
/** Who takes leave has closed, and need not thank. */
export const LEAVES =
  /\b(?:good ?bye|bye(?: bye)?|farewell|see you|(?:until|till) (?:next|then|tomorrow|we|the next)|next time|take care|well done|good (?:night|day|evening|journey)|have an? (?:\w+ )?(?:day|evening|night|morning|afternoon|week|weekend|journey|time)|enjoy (?:the rest|your)|go well|sleep well|that(?:['’]s| is) (?:it|all|us|the end|your|our)|carry on with|talk to you|love you|goodbyes?|we(?:['’]re| are) (?:done|finished))\b/;
export const SEEN_FROM = /\bas seen from\b|\bas you (?:look|see)\b|\bin (?:a|the) mirror\b|\bfrom above\b|\bas i see\b/;
export const TURNED_VIEW = /\bturn(?:ed|ing)?\b|\bfrom the (?:side|back|front)\b|\bto the side\b|\bface\b|\bmy back\b/;
export const RISING = /\b(?:come|coming|roll|rolling|rise|rising|straighten) (?:slowly )?up\b/;

const NUMBER_WORDS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** A number in figures or words up to twelve; `null` for anything else. */
export function numberOf(word: string): number | null {
  const at = NUMBER_WORDS.indexOf(word.toLowerCase());
  if (at >= 0) return at + 1;
  return /^\d{1,3}$/.test(word) ? Number(word) : null;
}

export const A_NUMBER = `(?:${NUMBER_WORDS.join('|')}|\\d{1,3})`;

/** The words of a text in small letters, letters and figures only. */
export const plainWords = remembered((text: string): string =>
  text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim(),
);

const termFinders = new WeakMap<readonly Term[], (text: string) => ReturnType<typeof termsIn>>();

/** The terms of a text, remembered. */
export function termsOf(text: string, own: readonly Term[]): ReturnType<typeof termsIn> {
  let finder = termFinders.get(own);
  if (!finder) {
    finder = remembered((one: string) => termsIn(one, own));
    termFinders.set(own, finder);
  }
  return finder(text);
}
