import { LIMITS } from '@/core/plan';
import { itemAt } from '@/core/units';
import { findCounts, hasAmount } from '../phrases/counts';
import { isItem, namesPart } from '../line-kinds/headings';
import type { LineKind } from '../model/model';
import type { Reading } from '../model/reading';
import { inRoundBrackets, withoutMarkup } from '../tokens/spelled-out';
import { cut, wordCount } from '../model/line-words';

/* The first lines of a script: what names the class, and how long it is. */

/** A letter begins with it, and no title does. */
const GREETING =
  /^\s*(?:hey|hi|hello|hiya|dear|hej|hallo|moin|salut|ciao|hola|good (?:morning|evening|afternoon))\b(?!.*\bmin)/i;
/** "Hello and welcome back. This is a seven minute practice.": more than one sentence, whatever is counted in them. */
const GREETS_THEN_TELLS = /^\s*(?:hey|hi|hello|hiya|good (?:morning|evening|afternoon))\b[^.!?]{0,80}[.!?] (?=\p{Lu})(?=.*\b(?:I|we|you|your|this|let['’]s)\b)/iu; // prettier-ignore

export function isGreeting(line: string): boolean {
  return GREETING.test(line) || GREETS_THEN_TELLS.test(line);
}

/** From when to when of the day: "Sunday lawn, 09:00-09:40", "Thursday, 6 to 6.45 pm". */
const DAY_SPAN =
  /[,;(–-]? ?\(?\b([01]?\d|2[0-3])(?:[:.]([0-5]\d))? ?(?:[ap]m)? ?(?:-|–|to|until) ?([01]?\d|2[0-3])(?:[:.]([0-5]\d)(?: ?[ap]\.?m\.?)?|(?= ?[ap]m) ?[ap]m)\)?/i;
const CLASS_MINUTES = { min: 5, max: 180 } as const;
/** In seconds; what is shorter is rather a step than a class. */
export const SHORTEST_CLASS = 60 * CLASS_MINUTES.min;

/** Before this hour it is a time in the class, where a line begins with it: "0:00-2:00 Shake". */
const FIRST_HOUR = 5;

/** A title with the times of day between which a class is, and how long that is; `null` for any other line. */
function spanTitle(line: string): Reading | null {
  const match = DAY_SPAN.exec(line);
  if (!match) return null;
  const [all, ...parts] = match;
  const [fromHour = 0, fromMinute = 0, toHour = 0, toMinute = 0] = parts.map((part) => Number(part ?? 0));
  const minutes = (toHour - fromHour) * 60 + toMinute - fromMinute;
  const ofClass = /^\s*[[(]?\d/.test(line) && fromHour < FIRST_HOUR;
  if (ofClass || minutes < CLASS_MINUTES.min || minutes > CLASS_MINUTES.max) return null;
  const seconds = minutes * 60;
  const { rest: words } = findCounts(
    line
      .replace(/^#{1,6}\s+/, '')
      .replace(all, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  );
  return { kind: 'title', words, counts: { seconds: [seconds, seconds, seconds] }, unsure: true };
}

/** "Tues 18:00 / 45'": with a length beside it a clock is a time of day. */
function withoutTime(line: string): string {
  const clockless = line.replace(/\b(?:[01]?\d|2[0-3]):\d{2}\b ?/, '');
  return findCounts(clockless).counts.seconds === undefined ? line : clockless;
}

/** "Workshop, part one (75 mins)", "weds noon / 20", "mon pm - 20". */
const LONG_TITLES = [
  /^(?:#{1,6} )?(.*\p{L}.*?)[\s,;:(–—-]+(\d{2,3}) ?(?:mins?|minutes)\)?[.!]?$/iu,
  /^(\p{L}.{2,60}?)[,:;]? (?:(?:keep (?:it|this)|must be|stay|stays) )?(?:under|below) (\d{2}) ?(?:mins?|minutes)?[.!]?$/iu,
  /^(\p{L}[^/|\d]*?) ?[/|] ?([1-9][05])$/iu,
  /^((?=.*\b(?:(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:day)?s?|[ap]m|morning|noon|evening|night|class|session|break|reset|qi ?gong|tai ?(?:chi|ji)|practice|routine|workshop)\b).{3,40}?)(?: ?[–—-]|,|:|(?= \()|(?= \d\d$)) ?\(?([1-9][05])\)?$/iu,
];

/** "* Class for new members, 18 min *": no item of a list. */
function withoutStars(line: string): string {
  const text = line.trim();
  return text.startsWith('* ') && text.endsWith(' *') && text.length > 4 ? text.slice(2, -2).trim() : line;
}

/** "Subject: Thursday's class (30 min)". */
const TITLE_LABEL =
  /^(?:title|name|subject|re|class|class name|class plan|class outline|session outline|lesson outline|practice plan|practice|lesson plan|session plan|plan|session|lesson|name of (?:the )?class): +(?:re: +)?["“]?(?=.*\p{L})(.+?)["”]?$/iu;

/** What a label says is the title, with the length of the class where it has one. */
function titleFrom(text: string): readonly Reading[] {
  const { counts, rest } = findCounts(text);
  const { seconds, rounds } = counts;
  if (seconds === undefined || rounds !== undefined || rest === '')
    return [{ kind: 'title', words: withoutQuotes(text), counts: {}, unsure: false }];
  return [{ kind: 'title', words: withoutQuotes(rest), counts: { seconds }, unsure: true }];
}

/** "“Roots and branches”" without the marks around it, one of which may stand before its label. */
function withoutQuotes(name: string): string {
  return (name.match(/["“”]/g)?.length ?? 0) > 2 ? name : name.replace(/^["“]|["”]$/g, '');
}

/** "Place: garden, if dry" names no class. */
const OF_THE_DAY =
  /^(?:date|when|where|place|room|venue|location|teacher|instructor|level|group|participants|bring|equipment|music|weather) ?: /i;

/** "40-minute", "ten-minute". */
const HYPHENED = /\b(\d{1,3}|\p{L}{3,7})-(?=(?:min|minute|hour)s?\b)/giu;
/** "30.11. evening": a date, and no number of a list. */
const DATE = /^(?:[12]?\d|3[01])\.(?:0?\d|1[0-2])\.(?:\d{2,4})? /;

/** "Harbour morning (24 min)" at the very top is a title with the length of the class, and no movement. */
export function titled(found: readonly Reading[], written: string, alone = false): readonly Reading[] {
  const whole = inRoundBrackets(withoutMarkup(withoutStars(written))).replace(HYPHENED, '$1 ');
  const line = whole.length > LIMITS.titleCharacters ? whole : whole.replace(/(?<=[\p{L}\d)'’])\.\s*$/u, '');
  const stopped = line !== whole;
  if (isGreeting(line) && found[0]?.kind === 'said') return found.map((one) => ({ ...one, unsure: false }));
  if (isGreeting(line) && found.filter(isDone).length > 1) return found;
  if (isGreeting(line)) return [{ kind: 'said', words: whole.trim(), counts: {}, unsure: false }];
  const labelled = line.length > LIMITS.titleCharacters ? null : TITLE_LABEL.exec(line);
  if (labelled) return titleFrom(itemAt(labelled, 1));
  const inTable = /^\||\t/.test(line.trim());
  if (
    inTable ||
    OF_THE_DAY.test(line) ||
    line.endsWith(',') ||
    (isItem(line) && !DATE.test(line)) ||
    beginsTelling(whole) ||
    found[0]?.kind === 'nothing' ||
    isPart(found[0]) ||
    found.filter(isDone).length > 1 ||
    found[0]?.about !== undefined ||
    namesPart(/^([^:]{3,20}): /.exec(line)?.[1] ?? '') ||
    line.length > LIMITS.titleCharacters
  )
    return found;
  // "Ten Quiet Minutes": its length is its name.
  const [of] = found;
  if (of?.kind === 'setting' && (of.counts.seconds?.[0] ?? 0) >= SHORTEST_CLASS && alone && isTitleCase(line))
    return [{ kind: 'title', words: line.trim(), counts: { seconds: of.counts.seconds }, unsure: true }];
  const sentenced = titleInSentences(whole);
  if (sentenced) return [sentenced];
  const day = spanTitle(line);
  if (day) return [day];
  if (isDated(line)) return found;
  const { counts, rest, bare } = findCounts(withoutTime(line.replace(/^#{1,6}\s+/, '')));
  // Longer than any step may be.
  const [, title = '', minutes] = LONG_TITLES.map((one) => one.exec(line)).find((match) => match !== null) ?? [];
  if (minutes !== undefined && (counts.seconds === undefined || bare)) {
    const seconds = Math.min(LIMITS.targetSeconds.max, Number(minutes) * 60);
    return [{ kind: 'title', words: title, counts: { seconds: [seconds, seconds, seconds] }, unsure: true }];
  }
  const first = found[0]?.kind;
  const likely = isTitleCase(line) || (first === 'said' && isLikeTitle(line));
  if (likely && rest === line.trim() && (!stopped || (OF_CLASS.test(line) && !TELLS.test(line))))
    return [{ kind: 'title', words: rest, counts: {}, unsure: true }];
  // A sentence that tells how long the class is stays whole: "This is the plan for today, 30 minutes in total".
  const tells = TELLS.test(rest) || /\bI\b/i.test(rest);
  const least = tells || stopped ? SHORTEST_CLASS : 1;
  const isLength = (counts.seconds?.[0] ?? 0) >= least && counts.rounds === undefined && rest !== '';
  const around = withoutLeavings(rest);
  const words = tells || /\b(?:of|for|in|to|with)$|^(?:of|for|in|to|with)\b/i.test(around) ? line.trim() : around;
  if (isLength) return [{ kind: 'title', words, counts, unsure: !line.startsWith('#') }];
  if (isNumbered(line, counts.seconds === undefined) || OF_DAY.test(line))
    return [{ kind: 'title', words: line.trim(), counts: {}, unsure: true }];
  // "Yang 24, part 1", "Lunchtime reset!" by itself above everything.
  const onlyBare = first === 'movement' && bare && !/[x×]|\beach\b/i.test(line);
  const short = wordCount(line.trim()) <= WORDS_ALONE;
  if (onlyBare && OF_PRACTICE.test(line)) return [{ kind: 'title', words: line.trim(), counts: {}, unsure: true }];
  return alone && short && (onlyBare || (first === 'said' && /!$/.test(line)))
    ? [{ kind: 'title', words: line.trim().replace(/!$/, ''), counts: {}, unsure: true }]
    : found;
}

/** A title without what its length leaves behind: "(the … one)", a dash, "at most". */
function withoutLeavings(rest: string): string {
  return rest
    .replace(/\s[-–—|](?=,)/g, '')
    .replace(/ ?\((?:(?:the|an?|long|short|one|version|about),? ?)*\)/i, '')
    .replace(/(?: +[|/–-])+ *$/, '')
    .replace(/,? (?:max(?:imum)?|tops|at most)\.?$/i, '');
}

/** The title of a line that says in sentences what the class is and how long it lasts; `null` for any other. */
export function titleInSentences(line: string): Reading | null {
  const [, named = '', lasts = ''] = SENTENCED.exec(line.trim()) ?? [];
  const { seconds } = findCounts(`it, ${lasts}`).counts;
  if (named === '' || !seconds || seconds[0] < SHORTEST_CLASS || hasAmount(findCounts(named).counts)) return null;
  return { kind: 'title', words: named, counts: { seconds }, unsure: true };
}

const WORDS_ALONE = 5;
/** "Qigong 18 (first half)". */
const OF_PRACTICE = /\b(?:qi ?gong|chi ?kung|tai ?(?:chi|ji))\b/i;
/** "Stretch and sway for gardeners. 15 minutes. Outdoors." */
const SENTENCED =
  /^([^.!?]{4,60})\. (?:about |around )?([\p{L}\d-]{1,12} ?min(?:ute)?s?)\b(?:\.|$)(?: [^.]{2,40}\.?)?$/iu;

/** "Script for recording no. 12, calm evening": its only number is which of a series it is. */
function isNumbered(line: string, untimed: boolean): boolean {
  const which = /\b(?:no\.?|number|nr\.?|episode|part|week|wk|session|class|lesson|recording|take|video|script|term|draft|version)(?: no\.?| number)? ?#?\d{1,3}\b/i; // prettier-ignore
  return untimed && which.test(line) && !/\d/.test(line.replace(which, '')) && wordCount(line) <= 10 && !/[.!?:]$/.test(line); // prettier-ignore
}

/** 'Wednesday - "Letting go"'. */
const OF_DAY =
  /^(?:mon|tues|wednes|thurs|fri|satur|sun)days?(?: (?:morning|noon|lunch|afternoon|evening|night))?(?: ?[–—:-]|,) ?["“'‘][^"”\d]{3,40}["”'’]$/i;

/** "9.00 Arrive", "0:00-2:00 Shake": a line of a day or a class by its time, and no title. */
export function isDated(line: string): boolean {
  return /^\d{1,3}-\d{1,3} min: |^\s*[[(]?\d{1,2}[:.]\d{2}(?: ?[-–] ?\d{1,2}[:.]\d{2})?[\])]? +\p{L}/u.test(line);
}

/** "We begin by standing for a minute." */
function beginsTelling(line: string): boolean {
  return /^\s*(?:you|we|they|i|first|begin|start|let)\b/i.test(line) && /[.]\s*$/.test(line);
}

/** A step with its amount: a line with more of them tells of a class, and does not name it. */
function isDone({ kind, counts }: Reading): boolean {
  return (kind === 'movement' || kind === 'silence') && (counts.rounds ?? counts.seconds) !== undefined;
}

function isPart(first: Reading | undefined): boolean {
  if (first === undefined) return false;
  // "welcome, say names".
  return first.kind === 'section'
    ? namesPart(first.words)
    : /[,:;]/.test(first.words) && namesPart(first.words.replace(/[,:;].*$/, ''));
}

/** What a first line with a stop behind it names, where it names a class. */
const OF_CLASS =
  /\b(?:class(?:es)?|form|lesson|session|programme?|workshop|practice|routine|plan|course|hour|morning|noon|evening|(?:mon|tues|wednes|thurs|fri|satur|sun)days?|mon|tues?|weds?|thu|fri|sat|sun|am|pm|beginners)\b/i;

const TELLS =
  /\b(?:here['’]s|i['’]d|is|are|was|were|takes?|lasts?|has|have|will|begins?|starts?|ends?|goes|we|you|they)\b/i;

/** A first line without a stop, of which nothing says that it is spoken: "Morning form for the garden club". */
function isLikeTitle(line: string): boolean {
  const written = line.trim();
  const words = wordCount(written);
  const spoken =
    /^(?:we|i|you|it|they|please|ok(?:ay)?|so|let|and|now|then|stand|sit|lie|take|close|feel|find|relax|soften|breathe|begin|start|come|bring|place|rest|notice)\b/i;
  return words >= 2 && words <= 9 && !/[.!?:;"”]$/.test(written) && !spoken.test(written);
}

/** "A Calm Quarter of an Hour": most words with a capital, and no stop at the end. */
function isTitleCase(line: string): boolean {
  const words = line.trim().split(/\s+/);
  const capitals = words.filter((one) => /^\p{Lu}/u.test(one)).length;
  return words.length >= 2 && words.length <= 10 && capitals > 0.55 * words.length && !/[.!?:]$/.test(line.trim());
}

/** What is longer is no title, but told. */
const TITLE_WORDS = 16;

/** One of a list, "- speaker on", names no class. */
export function isListed(line: string): boolean {
  return /^\s*(?:[-*•·] |\[[ x]?\] )/i.test(line) && !/\s[-*•·]\s*$/.test(line);
}

/** The title that the words of a line give: a sentence by itself without its stop, as long as a title may be. */
export function titleOf(words: string): string {
  const open = words.replace(/[^(]/g, '').length > words.replace(/[^)]/g, '').length;
  return cut(`${words}${open ? ')' : ''}`.replace(/^([^.]*[\p{L}\d)])\.$/u, '$1'), LIMITS.titleCharacters);
}

/** The first heading, or a short line without a full stop at the very top, names the class. */
export function mayNameClass(kind: LineKind, words: string, unsure: boolean): boolean {
  if (
    words.length > LIMITS.titleCharacters ||
    words.endsWith(',') ||
    OF_THE_DAY.test(words) ||
    namesPart(words.replace(/[,:;].*$/, ''))
  )
    return false;
  const count = wordCount(words);
  const told = (/[.!]$/.test(words) && count > 6) || count > TITLE_WORDS;
  return kind === 'section' || (kind === 'said' && unsure && !told);
}
