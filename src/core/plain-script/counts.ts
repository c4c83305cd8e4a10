import type { Counts } from './model';

const NUMBER_WORDS = [
  'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve',
]; // prettier-ignore
const COUNTED = `${NUMBER_WORDS.slice(1).join('|')}|a couple of|a few`;
const ROUNDS = 'times?|rounds?|reps?|repetitions?|circles?|breaths?';
/** How many of a time, with its unit: a bare letter is a unit only behind a figure, and "as" is no second. */
const FIGURES = '(\\d{1,3}) ?(minutes?|mins?|m|seconds?|secs?|s)\\b';
const IN_WORDS = `(${NUMBER_WORDS.slice(1).join('|')}|a couple of|a few|half a) (minutes?|mins?|seconds?|secs?)\\b`;
const MOST_ROUNDS = 200;
const MOST_SECONDS = 3600;

/** Counts and times as people write them, and what is left of the text without them. */
export function findCounts(text: string): { readonly counts: Counts; readonly rest: string } {
  let rest = text;
  let counts: Counts = {};
  const take: Take = (pattern, found) => {
    const match = pattern.exec(rest);
    const made = match && found(match);
    if (!match || !made || (made.seconds && counts.seconds)) return;
    counts = { ...counts, ...made };
    rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`;
  };
  takeHold(take);
  takeTime(take);
  take(
    /\b(?:start(?:ing|s)?|begin(?:ning|s)?)(?: on| with| to)?(?: the| your)? (left|right)(?: side| foot)?\b|\b(left|right) (?:side |foot )?first\b/i,
    (match) => ({
      startSide: (match[1] ?? match[2] ?? '').toLowerCase() === 'right' ? 'right' : 'left',
    }),
  );
  take(
    new RegExp(
      `\\b(?:(\\d{1,3}) ?(?:x|×|${ROUNDS})|(${COUNTED}) (?:${ROUNDS}))(?![a-z])|(?:^|\\s|\\()[x×] ?(\\d{1,3})\\b`,
      'i',
    ),
    (match) => roundsOf(match[1] ?? match[2] ?? match[3] ?? ''),
  );
  take(
    new RegExp(`\\b(\\d{1,3}|${COUNTED}) (?=each (?:way|side|direction)|(?:on|to) each side|a side|per side)`, 'i'),
    ([, count = '']) => (counts.rounds === undefined ? roundsOf(count) : {}),
  );
  takeSides(take, () => counts);
  return { counts, rest: tidied(rest) };
}

type Take = (pattern: RegExp, found: (match: RegExpExecArray) => Counts | null) => void;

/** A rest in the breath: "hold 3 s", "holding for two seconds", "(hold)", ", hold" at the end. "Holding up the lamp" is a name. */
function takeHold(take: Take): void {
  const length = `(?: (?:it )?(?:for )?(?:${FIGURES}|${IN_WORDS}))`;
  take(new RegExp(`\\(?\\bhold(?:ing)?${length}\\)?`, 'i'), ([, figures, unit, words, named]) => ({
    hold: secondsOf(figures ?? words ?? '', unit ?? named ?? '') ?? 3,
  }));
  take(/\(hold\)|[,;–-] ?(?:and )?hold\.?$/i, () => ({ hold: 3 }));
}

/** How long something goes on, as one time or a range of it. */
function takeTime(take: Take): void {
  const lead = '\\b(?:for )?(?:about |around )?';
  const first = `(\\d{1,3}|${NUMBER_WORDS.slice(1).join('|')})`;
  take(new RegExp(`${lead}${first} ?(?:-|–|to|or) ?(?:${FIGURES}|${IN_WORDS})(?: or so)?`, 'i'), (match) => {
    const [, min = '', figures, unit, words, named] = match;
    return rangeOf(secondsOf(min, unit ?? named ?? ''), secondsOf(figures ?? words ?? '', unit ?? named ?? ''));
  });
  take(new RegExp(`${lead}(?:${FIGURES}|${IN_WORDS})(?: or so)?`, 'i'), ([, figures, unit, words, named]) =>
    timeOf(secondsOf(figures ?? words ?? '', unit ?? named ?? '')),
  );
  // An article is a number only where a length is plainly meant.
  take(
    /\b(?:for )?(?:about|around) an? minute\b(?: or so)?|\bfor an? minute\b(?: or so)?|\ba minute(?: or so)?[.)]?$/i,
    () => timeOf(60),
  );
}

function timeOf(seconds: number | null): Counts | null {
  if (seconds === null) return null;
  return {
    seconds: [seconds, Math.max(1, Math.round(seconds * 0.75)), Math.min(MOST_SECONDS, Math.round(seconds * 1.5))],
  };
}

function rangeOf(min: number | null, max: number | null): Counts | null {
  if (min === null || max === null || max < min) return null;
  return { seconds: [Math.round((min + max) / 2), Math.max(1, min), Math.min(MOST_SECONDS, max)] };
}

/** Sides and pace: each way before each side, since a way is also a side. */
function takeSides(take: Take, sofar: () => Counts): void {
  take(
    /\b(?:in )?each (?:way|direction)\b|\b(?:one way|clockwise),? (?:and )?then (?:the other(?: way)?|anti-?clockwise|counter-?clockwise)\b/i,
    () => ({
      sides: 'both-directions',
    }),
  );
  take(
    /\b(?:on |to )?(?:the )?\b(?:one side|left|right)(?: side)?,? (?:and )?then (?:the )?(?:other|left|right)(?: side)?\b|\beach side in turn\b/i,
    () => ({
      sides: 'one-then-other',
    }),
  );
  take(
    /\b(?:on |to )?(?:each|both|per|a|alternate|alternating)[ -](?:sides?|legs?|feet|foot|arms?)\b|\balternating\b|\bleft and right\b/i,
    () => ({
      sides: sofar().sides ?? 'alternating',
    }),
  );
  take(/\b(?:in|at) (?:your|their|one’s|one's) own (?:time|pace)\b|\bown pace\b/i, () => ({ ownPace: true }));
}

/** A time as seconds: "20 s", "two minutes", "half a minute"; `null` when it is none or beyond an hour. */
export function secondsOf(count: string, unit: string | undefined): number | null {
  const minutes = /^m/i.test(unit ?? '');
  const number = numberOf(count);
  if (number === null) return null;
  const seconds = number * (minutes ? 60 : 1);
  return seconds > 0 && seconds <= MOST_SECONDS ? seconds : null;
}

function numberOf(text: string): number | null {
  const word = text.toLowerCase();
  if (/^\d+$/.test(word)) return Number(word);
  if (word === 'a' || word === 'an') return 1;
  if (word === 'half a') return 0.5;
  if (word === 'a couple of') return 2;
  if (word === 'a few') return 3;
  const at = NUMBER_WORDS.indexOf(word);
  return at > 0 ? at : null;
}

function roundsOf(text: string): Counts | null {
  const rounds = numberOf(text);
  return rounds !== null && rounds >= 1 && rounds <= MOST_ROUNDS && Number.isInteger(rounds) ? { rounds } : null;
}

/** Without the brackets, dashes and commas that stood around what was taken out. */
function tidied(text: string): string {
  return text
    .replace(/\(\s*[,;]?\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s+([,.;:])/g, '$1')
    .replace(/^[\s,;:–—-]+|[\s,;:(–—-]+$/g, '')
    .trim();
}
