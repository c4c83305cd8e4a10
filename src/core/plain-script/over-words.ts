import { makeDuring, type DuringLine } from '@/core/movement';
import type { NewId } from '@/core/document';
import { findCounts, hasAmount } from './counts';
import { isItem } from './headings';
import { singleSpaced } from './line-words';

/*
 * Lines over the rounds as people write them: "On round 3: a little lower.", "every second time: …", "last two: …",
 * "after a minute: …", "halfway: …". What stands behind the colon or the dash is said.
 */

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth', 'eleventh', 'twelfth'] as const; // prettier-ignore
const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'] as const; // prettier-ignore
const ROUND = '(?:rounds?|reps?|times?|breaths?|ones?|goes?|repetitions?)';
const NUMBER = `(\\d{1,2}|${NUMBERS.join('|')})`;
const LEAD = '^(?:(?:say|cue|note|reminder):? )?(?:on|in|at|with|for|from)? ?(?:the )?';
/** A round by what is done in it, too. */
const NOUN = `(?:${ROUND}|push(?:es)?|lifts?|pulls?|turns?|circles?|steps?|swings?|sweeps?)`;
const SAID = '(?: on| onwards?| only)?\\s*(?::| [-–—])\\s+(.{2,})$';
/** Without a colon where it is told: "On the third push, say: …", "after 3 rounds tell them to …". */
const TOLD = '(?:tell|remind|ask|invite) (?:them|everyone|everybody|people) (?:to |that |about |of )?|say:? ';

const ROUND_N = new RegExp(`${LEAD}${ROUND} (?:no\\.? )?${NUMBER}${SAID}`, 'i');
const NTH_ROUND = new RegExp(`${LEAD}(\\d{1,2}(?:st|nd|rd|th)|${ORDINALS.join('|')}) ${ROUND}${SAID}`, 'i');
/** "3rd: eyes soft". */
const NTH_ALONE = /^(\d{1,2}(?:st|nd|rd|th))(?: (?:time|go|round))?(?: (?:through|round))?(?::| [-–—]) (.{2,})$/i;
const EVERY = new RegExp(
  `${LEAD}every (?:(other|\\d{1,2}(?:st|nd|rd|th)?|${ORDINALS.join('|')}) )?${ROUND}${SAID}`,
  'i',
);
const LAST = new RegExp(`${LEAD}(?:very )?last (?:${NUMBER} )?${ROUND}${SAID}`, 'i');
const LAST_N = new RegExp(`${LEAD}last ${NUMBER}${SAID}`, 'i');
const AFTER = /^(?:say )?(?:(?:after|at) (.{2,24}?)(?: in)?|(.{2,24}?) in)(?::| [-–—])\s+(.{2,})$/i;
const SOMEWHERE =
  /^(?:say )?(?:half ?way|mid ?way|in the middle|somewhere(?: in (?:here|there|between|the middle))?|meanwhile|in between|now and then|at some point|as (?:they|you|we) go|while (?:they|you|we) (?:move|go|do it)|during(?: (?:it|this|that))?)(?: through)?(?::| [-–—])\s+(.{2,})$/i;

/** "At 1:00 drop the hips", without a colon: only in a step that lasts longer. */
const AT_A_TIME = /^at (\d{1,2}:\d{2}|\d{1,3} ?(?:s|secs?|seconds?|mins?|minutes?)),? (?=\p{L})/iu;
const LAST_SECONDS =
  /^(?:in |for )?(?:the )?last ((?:\d{1,3} ?|half an? |[a-z]{3,8} )?(?:s|secs?|seconds|m|mins?|minutes?)\b)(?:[:,]| [-–—])? (?=\p{L})/iu;

/**
 * Where a line of ordinary writing is said while a step runs, and its words; `null` where it is none.
 * @param lasting The seconds of a step that is paced by time, else `null`.
 */
export function readOver(newId: NewId, line: string, lasting: number | null = null): DuringLine | null {
  if (line.length > LONGEST) return null;
  const text = singleSpaced(line.trim());
  const body = withColon(isItem(line) ? text.replace(/^\S+\s+/, '') : text);
  const on = (place: DuringLine['on'], number: number, words = ''): DuringLine | null =>
    // "Last one: closing the gate, three times" is the last movement.
    (number >= 1 || place === 'anywhere') && !hasAmount(findCounts(words).counts)
      ? makeDuring(newId, words, { on: place, number })
      : null;
  const last = LAST.exec(body) ?? LAST_N.exec(body);
  if (last) return on('last', numberOf(last[1]) ?? 1, last[2]);
  const every = EVERY.exec(body);
  if (every) return on('every', every[1]?.toLowerCase() === 'other' ? 2 : (numberOf(every[1]) ?? 1), every[2]);
  const round = ROUND_N.exec(body) ?? NTH_ROUND.exec(body) ?? NTH_ALONE.exec(body);
  if (round) return on('round', numberOf(round[1]) ?? 0, round[2]);
  const after = AFTER.exec(body);
  const seconds = after ? findCounts(after[1] ?? after[2] ?? '').counts.seconds?.[0] : undefined;
  if (after && seconds !== undefined) return on('time', seconds, after[3]);
  const timed = lasting === null ? null : timeWithin(body, lasting);
  if (timed) return on('time', timed.seconds, timed.words);
  const somewhere = SOMEWHERE.exec(body);
  return somewhere ? on('anywhere', 0, somewhere[1]) : null;
}

/** A time in a step that lasts so long, and what is said then: "at 1:00 drop the hips", "last 15 s slow down". */
function timeWithin(body: string, lasting: number): { readonly seconds: number; readonly words: string } | null {
  const [after, before] = [AT_A_TIME.exec(body), LAST_SECONDS.exec(body)];
  const match = after ?? before;
  const { counts, rest } = findCounts(match?.[1] ?? '');
  const [seconds] = counts.seconds ?? [];
  if (!match || seconds === undefined || rest !== '' || seconds >= lasting) return null;
  return { seconds: after ? seconds : lasting - seconds, words: body.slice(match[0].length) };
}

const COUNT = `(?:\\d{1,2}|${NUMBERS.join('|')})`;
const NTH = `(?:${ORDINALS.join('|')}|last|final|\\d{1,2}(?:st|nd|rd|th))`;
const PLACE = `(?:the )?(?:very )?(?:${NTH}(?: ${COUNT})?(?: ${NOUN})?|(?:${NOUN}|no\\.?|number|#) ?${COUNT}|every (?:other|${NTH}) ${NOUN})`;
const BEFORE_SAID = new RegExp(`^((?:on|in|for|with|at|from) ${PLACE})(?:,? (?:${TOLD})|, )(?=\\p{L}|["“])`, 'iu');
const AFTER_ROUNDS = new RegExp(
  `^after (?:the )?(${COUNT}|${ORDINALS.join('|')}) ${NOUN}(?:: | [-–—] |,? (?:${TOLD})|, )`,
  'i',
);
const QUOTED_BEFORE = new RegExp(
  `^(?:say:? )?["“]([^"”]{2,})["”],? ?(?:[-–—(] ?)?(?:say (?:it |this )?)?((?:on|in|for|with|at|from|around|about|during|by) ${PLACE})\\)?[.!]?$`,
  'i',
);

/** The forms that have no colon, with one: "On the last two, close the eyes", "“Sink” on the first one". */
function withColon(text: string): string {
  const after = AFTER_ROUNDS.exec(text);
  const number = after ? numberOf(after[1]) : null;
  if (after && number !== null) return `round ${number + 1}: ${text.slice(after[0].length)}`;
  const before = BEFORE_SAID.exec(text);
  if (before) return `${asRound(before[1] ?? '')}: ${text.slice(before[0].length)}`;
  const quoted = QUOTED_BEFORE.exec(text);
  return quoted ? `${asRound(quoted[2] ?? '')}: ${quoted[1] ?? ''}` : text;
}

const ANY_NOUN = new RegExp(`\\b${NOUN}\\b|\\b(?:no\\.?|number) ?(?=\\d|${NUMBERS.join('|')})|#`, 'i');

/** "the third push" as "the third round". */
function asRound(place: string): string {
  return place
    .replace(ANY_NOUN, 'round ')
    .replace(/\bfinal\b/i, 'last')
    .replace(/ {2,}/g, ' ')
    .trim();
}

const LONGEST = 500;

function numberOf(word: string | undefined): number | null {
  if (word === undefined) return null;
  const small = word.toLowerCase();
  const figure = /^(\d{1,2})/.exec(small);
  if (figure) return Number(figure[1]);
  const at = [ORDINALS, NUMBERS].map((words: readonly string[]) => words.indexOf(small)).find((one) => one >= 0);
  return at === undefined ? null : at + 1;
}
