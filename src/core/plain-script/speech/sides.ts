import { wordCount } from '../model/line-words';
import { secondsFrom, type Counts } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { NUMBER, type SpokenAmount } from './amounts';
import { isPlacing, nameOfClause } from './names';

/* Sentences that go to the other side, or the other way, of a movement, in a class that is spoken word for word. */

/** To which other side or way. */
export type Turned = 'one-then-other' | 'both-directions';

const OTHER =
  /\b(?:other|opposite|second) (side|leg|foot|arm|hand|way|direction|one)\b|\b(?:change|swap|switch)(?: the| over| your)? ?(sides?|legs?|feet|foot|arms?|hands?|directions?|ways?)\b|^(?:and |now |then |so )*(?:change|switch|swap|reverse)(?: over| it)?[.!]?$/i;
const NOW_SIDE =
  /^(?:and |now |then |so |ok |okay |good,? |feet together,? )*(?:now |then |and )*(?:shift )?(?:(?:to|on|with|for|into|onto) )?(?:the |your )?(left|right)(?: (?:side|leg|foot|arm|hand))?\b(?!,? (?:and|or|then|palm|left|right))/i;
const BACKWARD = new RegExp(`^(?:and |now |then |so )*(?:${NUMBER} (?:circles? |rolls? |times |more )?)?(?:(?:to the )?back(?:wards?)?|for?wards?|in reverse|reverse)(?:[,:]? (?:for )?${NUMBER}(?: times| more)?(?: (?:more|again))?)?(?: too| as well| again)?[.!]?$|\\b(?:circles?|rolls?|times) back(?:wards?)?[.!]?$`, 'iu'); // prettier-ignore
/** "Ten in the other.", behind "Ten in one direction.", "Ten on the other.", behind "Ten on one leg." */
const IN_OTHER = new RegExp(`^(?:and |now |then )*${NUMBER}(?: times| more)? (in|on|with) the other[.!]?$`, 'iu');
const NUMBER_TO_SIDE = new RegExp(`^(?:and |now |then )*${NUMBER}(?: times| more)? (?:to|on|with) (?:the |your )?(?:left|right)(?: (?:side|leg|foot|arm|hand))?(?: (?:too|as well|again))?[.!]?$`, 'iu'); // prettier-ignore
const BOTH = /\bboth\b|\btogether\b(?! (?:and|,))/i;

/** Whether a sentence goes to the other side or the other way of a movement that was counted. */
export function turnedInSpeech(sentence: string): Turned | null {
  if (wordCount(sentence) > 16) return null;
  const other = OTHER.exec(sentence);
  if (other) return /way|direction|reverse/i.test(other[0]) ? 'both-directions' : 'one-then-other';
  if (BACKWARD.test(sentence) && !/^(?:and |now |then |so )*(?:to the )?back[.!]?$/i.test(sentence)) return 'both-directions'; // prettier-ignore
  const way = IN_OTHER.exec(sentence)?.[1]?.toLowerCase();
  if (way !== undefined) return way === 'in' ? 'both-directions' : 'one-then-other';
  if (NUMBER_TO_SIDE.test(sentence)) return 'one-then-other';
  return NOW_SIDE.test(sentence) && !BOTH.test(sentence.replace(/^feet together/i, '')) ? 'one-then-other' : null;
}

/** "The left arm goes over your head.": more than the other side of what was done on none. */
const MOVES_SIDE =
  /\b(?:left|right) (?:side|leg|foot|arm|hand) (?:go|come|float|reach|rise|lift|cross|move|step|slide|open|draw|press|push|sweep|swing)e?s \p{L}+ \p{L}+/iu;

export const movesSide = (sentence: string): boolean => MOVES_SIDE.test(sentence);

/** "The same but with a step": another form of it, and none of its sides. */
export const isVaried = (sentence: string): boolean => /\bsame but\b/i.test(sentence);

/** Whether sentences tell of a side. */
export const isSided = (sentences: readonly string[]): boolean =>
  sentences.some((one) => /\b(?:left|right|one (?:side|leg|foot|arm|hand))\b/i.test(one));

const GOES_OVER = /\b(?:other|opposite|second|change|switch|swap|same|reverse|too|as well)\b/i;

/** Whether a sentence says itself that it goes on with what is above: "Right leg, fifteen times" does not. */
export function goesOver(sentence: string): boolean {
  return GOES_OVER.test(sentence);
}

const SIDE_TOLD = /\b(?:left|right) (?:foot|leg|arm|hand|side|knee|heel|elbow|shoulder)\b/i;

/** To which other side or way the sentences that wait to be said go; `null` where they tell something else. */
export function turnedAbove(pending: readonly string[]): Turned | null {
  if (pending.some((one) => isDone(one) && !SIDE_TOLD.test(one))) return null;
  if (pending.some((one) => SIDE_TOLD.test(one))) return 'one-then-other';
  return pending.map(turnedInSpeech).find((one) => one !== null) ?? null;
}

/** Whether a sentence tells something that is done, and no other side of it. */
export function isDone(sentence: string): boolean {
  return (
    nameOfClause(sentence) !== null &&
    !isPlacing(sentence) &&
    (turnedInSpeech(sentence) === null || movesSide(sentence))
  );
}

const AT_REST =
  /\b(?:seated|sit|sitting|stand|standing|lie|lying|rest|resting|still|quiet|quietly|settle|arrive|notice|feel|listen|pause)\b/i;

/** Whether sentences tell what is moved, and nothing of rest: "Sway like bamboo." */
export function isMoved(sentences: readonly string[]): boolean {
  return sentences.some(isDone) && !sentences.some((one) => AT_REST.test(one));
}

/** What the other side or way sets, and the words that are said between both. */
export function onOther(sides: Turned, words: string, first: Counts, amount: SpokenAmount | null): readonly Reading[] {
  const { rounds } = amount?.counts ?? {};
  // Of two ways by time each takes as long; of two sides the step itself has twice its time.
  const timed = sides === 'both-directions' && first.rounds === undefined;
  const [one = 0] = timed ? (first.seconds ?? []) : [];
  const twice = one > 0 ? { seconds: secondsFrom([one, one], 2) } : {};
  return [
    reading('setting', '', { sides, ...(rounds === undefined ? twice : { rounds }) }, true),
    { ...reading('setting', words), sets: { changeWords: words } },
  ];
}

/** "We'll do that twice more on each side." */
const DONE_SO_OFTEN =
  /^(?:(?:and|so|now|then),? )*(?:we(?:['’]ll)?|let['’]s)? ?(?:do|repeat) (?:that|this|it)(?: all)?\b.*\b(?:each side|both sides|each leg)\b/i;

/** "We do this three times each side.", of a hold on each: as long as all of them; `null` for anything else. */
export function soOften(text: string, { seconds }: Counts, { counts, more }: SpokenAmount): readonly Reading[] | null {
  if (!DONE_SO_OFTEN.test(text)) return null;
  const [one = 0] = seconds ?? [];
  const times = (counts.rounds ?? 1) + (more ? 1 : 0);
  if (one === 0 || times < 2) return [];
  return [reading('setting', '', { seconds: secondsFrom([one, one], 2 * times), held: true }, true)];
}
