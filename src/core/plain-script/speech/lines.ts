import { itemAt } from '@/core/units';
import { SENTENCE_END } from '../lines/amounts-spoken';
import { breathsOf } from '../lines/breath-lines';
import { findCounts, hasAmount } from '../phrases/counts';
import { namesPart } from '../line-kinds/headings';
import { plainHead } from '../layout/heads';
import { isStill } from '../line-kinds/line-signs';
import { wordCount } from '../model/line-words';
import { reading, type Reading } from '../model/reading';
import { amountInSpeech } from './amounts';
import { countsDown, namedInSpeech } from './names';
import { turnedInSpeech } from './sides';
import { kindOfPart } from '../line-kinds/talks';
import { isGreeting, titleInSentences } from '../layout/title';
import { withoutStamp } from './word-for-word';

/* The lines of a class that is spoken word for word: its title, its length, what heads a part or a movement, its sentences. */

/** "[pause 10s]", by itself. */
export const BRACKETED = /^[([]([^()[\]]{1,80})[)\]][.]?$/;
const BRACKETS = /(\s*[([][^()[\]]{1,60}[)\]]\.?\s*)/;

/** The sentences and the brackets of a line. */
export function partsOf(body: string): readonly string[] {
  return body
    .split(BRACKETS)
    .flatMap((part) => (BRACKETED.test(part.trim()) ? [part.trim()] : part.split(SENTENCE_END)))
    .map((part) => part.trim())
    .filter((part) => part !== '');
}

/** "[BELL]": heard, and the name of nothing. */
const isSound = (line: string): boolean =>
  /^[([](?:[\p{L} ]{0,14}\b)?(?:bell|gong|chime|bowl|music|sound|silence|pause)s?\b[^()[\]]{0,20}[)\]]$/iu.test(line);

const OPENS = /^(?:welcome|thank|today|so|ok|okay|please|let)\b/i;

/** Whether a line may be the title of the class. */
export function isTitle(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at).trim();
  if (lines.findIndex((one) => one.trim() !== '') !== at || withoutStamp(line) !== line || isGreeting(line) || isSound(line)) return false; // prettier-ignore
  return (
    titleInSentences(line) !== null ||
    !/[.!?…]$/.test(line) ||
    ((lines[at + 1] ?? '').trim() === '' && !OPENS.test(line))
  );
}

/** Below the title and a blank line or two. */
const SECOND_AT_MOST = 3;

/** "(Duration: approx. 18 minutes. Music low.)", above any step; "A guided practice, 14 minutes", right below the title. */
export function lengthIn(lines: readonly string[], at: number): Reading | null {
  const body = withoutStamp(itemAt(lines, at));
  const boxed = /^[([](.{3,80})[)\]]\.?$/.exec(body)?.[1] ?? '';
  const second =
    at <= SECOND_AT_MOST &&
    lines.slice(0, at).filter((one) => one.trim() !== '').length === 1 &&
    /^[^.!?]{3,60}$/.test(body);
  const inner = second && boxed === '' ? body : boxed;
  const told = /\b(?:duration|length|total|approx|runtime|running time)\b/i.test(inner);
  if (!told && !(second && /minutes?|mins?\b/i.test(inner))) return null;
  const { seconds, rounds } = findCounts(inner).counts;
  const is = seconds !== undefined && rounds === undefined;
  return is ? { ...reading('setting', inner, { seconds }), about: 'length' } : null;
}

/** "We have about twelve minutes together." */
const CLASS_LASTS =
  /\b(?:we (?:have|['’]?ve got)|(?:practice|class|session|video|lesson|it|this)(?:['’]s| is| takes| lasts| will take| will last)(?: only| just)?) (?:about |around |roughly |only |just )*((?:\w+[- ])?\w+ minutes?)\b|\b(?:disturbed|with me|together|here) for the next ((?:\w+[- ])?\w+ minutes)\b|\b(?:quick|short|long|little) one (?:today|tonight|this (?:morning|evening))?,? (?:just |only |about )*((?:\w+[- ])?\w+ minutes)\b|\bwe(?:['’]re| are) (?:going to|gonna) (?:do|have) an? ((?:\w+[- ])?\w+[- ]minutes?) (?:break|class|practice|session|routine|flow|lesson)\b|^(?:and )?today(?:['’]s| is|,? (?:it['’]s|we have|we do|i have))?,? (?:an?|the|our) ((?:\w+[- ])?\w+[- ]minutes?) (?:break|class|practice|session|routine|flow|lesson)\b/i;

/** The length of the class that a sentence tells, above any step; `null` for any other. */
export function lengthSpoken(text: string): Reading | null {
  const [, ...lengths] = CLASS_LASTS.exec(text) ?? [];
  const { seconds } = findCounts(`x, ${lengths.find((one) => one) ?? ''}`).counts;
  return seconds ? { ...reading('setting', text, { seconds }), about: 'length' } : null;
}

const LINES_AHEAD = 5;

/** Whether what is said next, behind a sentence of a line and before another name, has an amount. */
export function isCountedAhead(lines: readonly string[], at: number, text: string): boolean {
  const line = partsOf(withoutStamp(itemAt(lines, at)));
  const ahead = line.slice(line.indexOf(text) + 1);
  for (const next of lines.slice(at + 1, at + 1 + LINES_AHEAD).map(withoutStamp)) {
    if (next === '') break;
    ahead.push(...partsOf(next));
  }
  const named = ahead.findIndex((one) => namedInSpeech(one)?.unsure === false);
  const before = named < 0 ? ahead : ahead.slice(0, named);
  return before.some(
    (one) => amountInSpeech(one) !== null || (BRACKETED.test(one) && hasAmount(findCounts(one).counts)),
  );
}

/** "Part 2", "SCENE 1", with no name. */
const PART = /^(?:part|section|scene|act|chapter|block) (?:\d{1,2}|one|two|three|four|five|six|seven|eight)[.:]?$/i;

/** The number of a part by itself, or its usual name in brackets; `null` for any other line. */
export function partOf(body: string): string | null {
  if (PART.test(body)) return body.replace(/[.:]$/, '');
  const inner = /^\[([^[\]\d]{3,30})\]:?$/.exec(body)?.[1] ?? '';
  return namesPart(inner) || /^(?:main|intro|outro)\b[^,:]{0,12}$/i.test(inner) ? inner : null;
}

const ORDINAL = 'first|second|third|fourth|fifth|sixth|next|last|final';
const THING = 'part|section|exercise|movement|step|chapter|block';
/** "Part Two: Swaying", "EXERCISE 1: SHOULDER ROLLS", "2. Lifting", "Section two. Waking the hands." */
const HEAD = new RegExp(
  `^(?:(?:${THING}|${ORDINAL})(?: (?:movement|exercise|part|section|one|two|three|four|five|six|seven|eight|nine|ten|\\d{1,2}))?[.:]? |\\d{1,2}[.)] )?(\\p{L}[\\p{L}'’,& -]{2,50})[.:]?$`,
  'iu',
);
const LABELLED = new RegExp(
  `^(?:(?:${THING}) (?:\\w+)[.:]|(?:${ORDINAL}) (?:movement|exercise|part|section):|(?:movement|exercise|silence):|\\d{1,2}[.)]) `,
  'i',
);
const HEAD_WORDS = 7;

/** The name by itself that a line is above what is said; `null` for any other line. */
export function headOf(lines: readonly string[], at: number): string | null {
  const body = withoutStamp(itemAt(lines, at));
  const [, name = ''] = HEAD.exec(body) ?? [];
  const labelled = LABELLED.test(body);
  if (name === '' || wordCount(name) > HEAD_WORDS || (!labelled && body.endsWith('.'))) return null;
  const above = (lines[at - 1] ?? '').trim();
  const apart = labelled || above === '' || BRACKETED.test(above) || body !== itemAt(lines, at).trim();
  const below = (lines[at + 1] ?? '').trim();
  if (!apart || below === '' || findCounts(name).counts.seconds !== undefined) return null;
  return name.replace(/[:.]$/, '').trim();
}

/** So many amounts stand below the name of one movement at most. */
const COUNTED_AT_MOST = 2;
const NAMES_MOVEMENT = /^(?:\w+ )?(?:movement|exercise)\b/i;

/**
 * Whether what stands below a name by itself is a movement of that name or a part with steps of its own; `other` where it
 * is the usual name of a part.
 */
export function stepsBelow(lines: readonly string[], at: number, name: string): 'part' | 'movement' | 'other' {
  const line = withoutStamp(itemAt(lines, at));
  if (namesPart(plainHead(line)) || namesPart(name) || /^silence/i.test(line)) return 'other';
  if (kindOfPart(name) === 'silence' || (!NAMES_MOVEMENT.test(line) && isStill(name.toLowerCase()))) return 'part';
  const below: string[] = [];
  for (let next = at + 1; next < lines.length; next++) {
    const one = withoutStamp(itemAt(lines, next));
    if (one !== '' && headOf(lines, next) !== null) break;
    if (one !== '') below.push(...partsOf(one));
  }
  const counted = below.filter((one) => amountInSpeech(one) !== null && turnedInSpeech(one) === null).length;
  const named = below.some((one) => namedInSpeech(one)?.unsure === false);
  const moves = counted > 0 || below.some((one) => breathsOf(one).length > 0);
  return named || counted > COUNTED_AT_MOST || !moves ? 'part' : 'movement';
}

/** Whether the lines below, in the same paragraph and before anything else is done, count the rounds down. */
export function countDownBelow(lines: readonly string[], at: number): boolean {
  for (let below = at + 1; below < lines.length && (lines[below] ?? '').trim() !== ''; below++)
    for (const part of partsOf(withoutStamp(lines[below] ?? ''))) {
      if (countsDown(part)) return true;
      if (amountInSpeech(part) !== null || namedInSpeech(part) !== null) return false;
    }
  return false;
}

const ENDS_CLASS =
  /\b(?:thank(?:s| you)|good ?bye|bye|same time (?:on|next|tomorrow|again)|see you|good ?night|that['’]s (?:it|all)|that is (?:it|all)|well done|dismissed|have a (?:good|nice|lovely|calm)|how (?:does|do) (?:that|you) feel)\b/i;

/** Whether somebody takes leave in what is said, or says that it is over. */
export const endsClass = (words: string): boolean => ENDS_CLASS.test(words);
