import { termsIn, type Term } from '@/core/words';

/*
 * What lines say, as far as the checks need to know it. Patterns are for small letters, except where said otherwise.
 * Common practice, no published source.
 */

export const EYES_CLOSE = /\b(?:close|shut|rest) (?:your|the) eyes\b|\beyes (?:closed|shut)\b/;
export const EYES_OPEN = /\bopen (?:your|the) eyes\b|\beyes (?:may )?open\b/;
export const WATCH = /\b(?:watch (?:me|one|how|the|my)|look at (?:me|my|the)|see (?:me|how i|my)|let me show)\b/;
export const LAST = /\blast (?:one|round|time|breath|circle|pull)\b|\bone last\b|\bfinal (?:one|round|time)\b/;
export const THANKS = /\bthanks?\b|\bthank you\b|\bgrateful\b/;
export const SEATED = /\bsit\b|\bseated\b|\bsitting\b|\bchair\b|\bstool\b|\bon your seat\b/;
export const SUPPORT =
  /\bwall\b|\bchair\b|\brail\b|\btable\b|\bsupport\b|\btoes? (?:may |can )?(?:stay|stays|rest) (?:down|on)/;
export const SEEN_FROM = /\bas seen from\b|\bas you (?:look|see)\b|\bin (?:a|the) mirror\b|\bfrom above\b|\bas i see\b/;
export const TURNED_VIEW = /\bturn(?:ed|ing)?\b|\bfrom the (?:side|back|front)\b|\bto the side\b|\bface\b|\bmy back\b/;
export const OPT_OUT =
  /\bleave (?:it |the (?:rest|hold|pause) )?out\b|\bwithout the (?:rest|hold|pause)\b|\bskip the\b|\bbreathe (?:on|when(?:ever)? you)\b|\bno need to hold\b/;
export const HEAD_LOW =
  /\bhead (?:hangs?|hang|drops?|low|lower|below|towards? the floor)\b|\bhang the head\b|\bhead down\b/;
export const BREATH_FORCED =
  /\bhold (?:your|the) breath\b|\bforce(?:d|fully)?\b(?=.*\bbreath)|\bbreathe (?:fast|quickly|hard)\b|\bpump\b/;
/** What is told not to be done, up to the end of its clause: "never force the breath" is a caution and no fault. */
const NEGATED = /\b(?:never|not|no|don['’]t|without|avoid)\b[^,.;:!?]*/g;

/** A text without what it tells people not to do. */
export function withoutNegated(text: string): string {
  return text.replace(NEGATED, ' ');
}

/** Sinking into a stance, which offers nobody a seat. */
const SINKING =
  /\bsit(?:ting|s)?(?: back| down| deep(?:er)?| low(?:er)?)*(?: in(?:to)?| to| on)? (?:the |your |this |that |a |one |each )?(?:wide |low |left |right |front |back |horse |supporting )*(?:stance|hips?|legs?|kua|kwa|knees?|posture|squat|heels?|pelvis|foot|feet)\b/g;

/** A text without sinking into a stance: what is left of sitting in it is a seat. */
export function withoutSinking(text: string): string {
  return text.replace(SINKING, ' ');
}

export const RISING = /\b(?:come|coming|roll|rolling|rise|rising|straighten) (?:slowly )?up\b/;
export const EASIER =
  /\bsmall(?:er)?\b|\beasier\b|\bless\b|\bonly (?:a little|as far)\b|\blower\b|\bhigher is fine\b|\btoes? (?:may )?stay\b/;

/** `left` and `right` where they mean a side: not "all right", "right now", "what is left". */
const SIDE_WORD = /\b(left|right)\b/g;
const NO_SIDE =
  /(?:\ball right|(?<!\b(?:the|your|my|to) )\bright (?:now|away|up|down|through|there|here|in front|in the middle|in the cent(?:re|er)|at|behind|beside|before|next to|under|over|above|below|on top|into)\b|\b(?:rounds?|is|are|what|breaths?|minutes?|nobody|no one|nothing|anything|time|energy) left\b|\bleft (?:over|out|behind|alone)\b)/g;

/** The sides that a text names by itself, tokens set apart: each once. */
export function sidesNamed(text: string): ('left' | 'right')[] {
  const plain = text
    .toLowerCase()
    .replace(/\{[^{}]*\}/g, ' ')
    .replace(NO_SIDE, ' ');
  return [...new Set([...plain.matchAll(SIDE_WORD)].map(([, side]) => side as 'left' | 'right'))];
}

const NUMBER_WORDS = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** A number in figures or words up to twelve; `null` for anything else. */
export function numberOf(word: string): number | null {
  const at = NUMBER_WORDS.indexOf(word.toLowerCase());
  if (at >= 0) return at + 1;
  return /^\d{1,3}$/.test(word) ? Number(word) : null;
}

export const A_NUMBER = `(?:${NUMBER_WORDS.join('|')}|\\d{1,3})`;

/** A function of a text that remembers: a class says the same lines many times, and after an edit nearly all again. */
export function remembered<Value>(of: (text: string) => Value): (text: string) => Value {
  const kept = new Map<string, Value>();
  return (text) => {
    const before = kept.get(text);
    if (before !== undefined) return before;
    if (kept.size >= REMEMBER_AT_MOST) kept.clear();
    const value = of(text);
    kept.set(text, value);
    return value;
  };
}

const REMEMBER_AT_MOST = 20_000;

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
