import { secondsFrom, type LineKind } from '../model/model';
import { isStill } from '../line-kinds/line-signs';
import { sentenceCase, wordCount } from '../model/line-words';
import { isNameLike } from '../line-kinds/name-lines';
import { reading, type Reading } from '../model/reading';
import { isTold } from '../line-kinds/talks';

/* How long a line lasts that a time stands before: from when to when, or up to the next of a column. */

/** A longer one that a sentence tells of is a silence. */
export const LONGEST_PAUSE = 60;

/** A movement or a silence without amounts of its own lasts as long as its span; a guess. */
export function lastingFor(one: Reading, seconds: number): Reading {
  const timed = one.kind === 'movement' || one.kind === 'silence' || one.kind === 'talk';
  if (!timed || one.counts.rounds !== undefined || one.counts.seconds !== undefined) return one;
  const kind = one.kind === 'movement' && isStill(one.words) ? 'silence' : one.kind;
  return { ...one, kind, counts: { ...one.counts, seconds: secondsFrom([seconds, seconds], 1) }, unsure: true };
}

/** What is done, at the start of a line: with a time before it, it is a step. */
const DONE =
  /^(?:stand|sit|lie|shake|walk|breathe|swing|roll|loosen|stretch|raise|lift|turn|circle|tap|sway|bounce|twist|rock|step|march|massage|rub|float|push|pull|balance|gather|sink|open|close|draw|press|row|pat)\b(?! (?:up|down|back)?(?:[.!]?$|,))|^(?!(?:say|talk|explain|introduc|welcom|greet|ask|tell|remind|show|bring|remember|follow|finish|end|start|begin|dur|morn|even|everyth|noth|anyth|someth)ing\b)\p{L}{3,}ing\b/iu;
const DONE_AT_MOST = 8;
const REFRESHED =
  /^(?:(?:short|little|quick|brief|mini) )*(?:water|drinks?|tea|coffee|rest|pause|break|breather)(?: break| pause| stop)?(?:,[^\d]{0,40})?[.!]?$/i;
/** "sit, eyes shut". */
export const SAT =
  /^(?:sit|stand|lie)(?:ting|ing)?(?: down)?,? (?:with )?(?:eyes (?:shut|closed)|quiet(?:ly)?|still|in silence)\b/i;

/** "Welcome to the harbour. I'm glad you're here.": said as it stands. */
function isSpoken(body: string): boolean {
  return /[.!]["”]?$/.test(body) && (/[.!?] \p{Lu}/u.test(body) || /\b(?:I['’]m|you['’]re|we['’]re|for coming|for joining|for practi[sc]ing)\b/i.test(body)); // prettier-ignore
}

/** "3:00 Shake it loose" in a column of times lasts until the next line; a guess. */
export function doneFor(one: Reading, body: string, seconds: number): Reading {
  const still = isStill(body) || SAT.test(body) || /^(?:sitting|standing|lying|sit)(?: down)?[.]?$/i.test(body);
  if (one.kind === 'transition' && still && seconds >= LONGEST_PAUSE)
    return lastingFor({ ...one, kind: 'silence', words: body }, seconds);
  const uncounted = one.kind === 'movement' && one.counts.rounds === undefined && one.counts.seconds === undefined;
  if ((one.kind === 'said' || uncounted) && isTold(body) && !isSpoken(body))
    return lastingFor({ ...one, kind: 'talk', words: sentenceCase(body) }, seconds);
  if ((one.kind === 'said' || uncounted) && REFRESHED.test(body)) return lastingFor({ ...one, kind: 'pause', words: sentenceCase(body.replace(/,.*$/, '')), counts: { seconds: [seconds, seconds, seconds] } }, seconds); // prettier-ignore
  if (uncounted && isStill(one.words)) return lastingFor(one, seconds);
  if (one.kind === 'said' && one.unsure && isNameLike(body))
    return lastingFor({ ...one, kind: isStill(body) ? 'silence' : 'movement', words: body }, seconds);
  // "Bamboo in the Wind (free flow)".
  const [, named = ''] = /^([^()]{3,60}) \([^()\d]{3,60}\)$/u.exec(body) ?? [];
  if (one.kind === 'said' && one.unsure && named !== '' && isNameLike(named))
    return lastingFor({ ...one, kind: isStill(named) ? 'silence' : 'movement', words: named }, seconds);
  // What nobody says for so long may be a step.
  if (one.kind === 'said' && !one.unsure && seconds >= LONGEST_PAUSE && !DONE.test(body))
    return { ...one, unsure: true };
  if (one.kind !== 'said' || wordCount(body) > DONE_AT_MOST || !(still || DONE.test(body))) return one;
  const kind = still ? 'silence' : 'movement';
  return lastingFor({ ...one, kind, words: body }, seconds);
}

/** Words; fewer may be what is said: "Hello all". */
const NOTED_FROM = 4;
/** Seconds; for less nobody plans what they tell. */
const TOLD_FROM = 15;

/** "0:25 Feet, knees, spine - find your stance", behind a talk or before any step: told, as long as the times leave it. */
export function toldFor(
  one: Reading,
  body: string,
  seconds: number,
  { under, spanned }: { readonly under: LineKind; readonly spanned: boolean },
): Reading {
  const opens = under === 'talk' || under === 'nothing';
  const noted = wordCount(body) >= NOTED_FROM && !/[.!?]["”]?$/.test(body);
  // "18-20 min: Line up, one word each: how do you feel?" is a part of the class by its minutes.
  if (spanned && one.kind === 'said' && seconds >= LONGEST_PAUSE && (!noted || !opens))
    return { ...lastingFor({ ...one, kind: 'talk', words: sentenceCase(body) }, seconds), ...(/[.!?]["”]?$/.test(body) ? { said: body } : {}) }; // prettier-ignore
  if (one.kind !== 'said' || !one.unsure || !opens || seconds < TOLD_FROM || !noted) return one;
  return lastingFor({ ...one, kind: 'talk', words: sentenceCase(body) }, seconds);
}

/** "Warm up: shake like a wet dog. Freeze when I clap.": what is done, and what is told of it. */
const FIRST_DONE =
  /^((?:warm[- ]?up|loosen|cool[- ]?down|start|finish|begin): (?!talk|tell|ask|say|explain)[^.!?]{3,40})[.!] (\p{Lu}.+)$/iu;

/** A step and what is said of it, of a line that seemed only told; `null` for any other. */
export function firstDone(one: Reading, body: string, seconds: number): readonly Reading[] | null {
  const [, done = '', told = ''] = one.kind === 'said' || one.kind === 'talk' ? (FIRST_DONE.exec(body) ?? []) : [];
  return told === '' ? null : [lastingFor(reading('movement', done, {}, true), seconds), reading('said', told)];
}
