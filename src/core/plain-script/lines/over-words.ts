import { makeDuring, type DuringLine } from '@/core/movement';
import type { NewId } from '@/core/document';
import { layerOf } from './by-rounds';
import { findCounts, hasAmount } from '../phrases/counts';
import { withoutMark } from '../line-kinds/headings';
import { capitalised, singleSpaced, unquoted } from '../model/line-words';
import { ON_ROUNDS } from './several';
import { placeAtStart, placeOf, type Place, type Written } from '../phrases/places';
import { callBackIn } from '../line-kinds/step-settings';
import { toldInMovement } from '../line-kinds/told-at-times';

/*
 * Lines over the rounds as people write them: "On round 3: a little lower.", "every second time: …", "last two: …",
 * "after a minute: …", "halfway: …"; "soft elbows (last two)". What stands beside the place is said.
 */

const LONGEST = 500;

/** A line over the rounds; a guess where its place may be a part of what is said. */
export interface Over {
  readonly line: DuringLine;
  readonly unsure: boolean;
}

/**
 * Where a line of ordinary writing is said while a step runs, and its words; `null` where it is none.
 * @param lasting The seconds of a step that is paced by time, else `null`.
 * @param inset Whether it stands further in than the line of the step.
 */
export function readOver(newId: NewId, line: string, lasting: number | null = null, inset = false): Over | null {
  if (line.length > LONGEST) return null;
  const body = withoutMark(singleSpaced(line.trim())).replace(/^[–—-](?=\S)/, '');
  if (!MAY_BE_PLACE.test(body)) return null;
  if (callBackIn(body)) return null;
  const told = lasting === null ? null : toldInMovement(body, lasting, inset);
  if (told) return { line: makeDuring(newId, told.words, { on: 'time', number: told.at }), unsure: told.unsure };
  const text = outOfBrackets(body).replace(QUIET_LAST, '$1 on the $2');
  const found = placeFirst(text, lasting) ?? placeLast(text.replace(LABELLED, ''), lasting, inset);
  // "Last one: closing the gate, three times" is the last movement.
  if (!found || !/\p{L}{2}/u.test(found.words) || ONLY_UNIT.test(found.words) || isCountedMore(found.words))
    return null;
  const { on, number } = found.place;
  if (on === 'time' && lasting !== null && number >= lasting) return null;
  const words = SENTENCE_ON.test(text) && text.endsWith(found.words) ? capitalised(found.words) : found.words;
  return { line: makeDuring(newId, words, { on, number, layer: layerOf(words) }), unsure: found.unsure };
}

/** "On the third one go a little lower.": a sentence that goes on behind its place. */
const SENTENCE_ON = /^\p{Lu}[^:–—"“]*[.!?]$/u;

/** "no talking last 2". */
const QUIET_LAST = /^((?:no talking|no words|without words|silent(?:ly)?|in silence|quiet(?:ly)?|slower|smaller|softer)),? (?:the )?((?:last|first) (?:\d|two|three|four)(?: (?:rounds|reps|times))?)$/i; // prettier-ignore

/** An amount, but for "one full breath" in a sentence. */
function isCountedMore(words: string): boolean {
  const { counts } = findCounts(words);
  return hasAmount(counts) && !(counts.rounds === 1 && counts.seconds === undefined && /[.!]$/.test(words));
}

/** "each 1 min", "every 30 s": how long, and nothing said. */
const ONLY_UNIT = /^(?:s|secs?|seconds?|m|mins?|minutes?|x|times)[.!]?$/i;
/** Whether a sentence stands over some rounds of any movement: "Last two smaller.", "On round 3 say “softly”." */
export function isUnder(sentence: string): boolean {
  const text = sentence.replace(/[.!]$/, '').replace(LABELLED, '');
  const found = placeFirst(text, null);
  return found !== null && found.place.written !== 'time' && !hasAmount(findCounts(found.words).counts);
}

/** A line without any of these has no place, and needs no further look. */
const MAY_BE_PLACE =
  /\b(?:rounds?|reps?|repetitions?|rnds?|rds?|times?|breaths?|ones?|go|goes|r ?\d|\d{1,2}(?:st|nd|rd|th)|last|final|left|every|each|other|alternate|after|first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|eleventh|twelfth|half|mid|near|nearing|towards?|way|midway|middle|somewhere|anywhere|meanwhile|between|then|occasionally|sometime|point|throughout|during|while|as|before|at|in|on)\b|@|\+\d|\d:\d\d|\d ?s\b|halfway|half-?time/i;

interface Found {
  readonly place: Place;
  readonly words: string;
  readonly unsure: boolean;
}

const SAY =
  '(?:say|cue|tell them|remind them|ask them|invite them|(?:tell|remind|ask|invite) (?:everyone|everybody|people))';
/** Before a place: "say on round 3:", "cue (round 3):". */
const SAID_FIRST = new RegExp(`^(?:add|${SAY}|note|reminder):? (?:for )?(?=\\S)`, 'i');
/** Before words whose place stands behind them: "cue: “soft knees” on the last two". */
const LABELLED = /^(?:cue|say|note|remind(?:er)?|tell them|line|prompt): ?(?=\S)/iu;
/** Behind a place and before what is said: a mark, or that it is said. */
const MARK = /^(?: ?(?:[:=—]|→|[-=]>)| [–—-](?= )) ?(?=\S)/u;
const COMMA = /^[,;] (?=\S)/u;
const STOP = /^\. (?=\p{L})/u;
const SPACE = /^ (?=\p{Ll}|["“])/u;
const TOLD = new RegExp(
  `^(?:[,;:]| [–—-])? (?:\\((?:say|cue)\\)|${SAY})(?: to| that| about| of)?(?::| [–—-]|(?= ))? ?(?=\\S)`,
  'iu',
);

/** What may stand behind a place but a mark or the word that it is said. */
const BEHIND: Readonly<Record<Written, readonly RegExp[]>> = {
  counted: [COMMA, STOP],
  led: [COMMA, SPACE],
  alternate: [COMMA, SPACE],
  each: [],
  alone: [],
  after: [COMMA],
  time: [COMMA],
  'half-way': [COMMA],
  anywhere: [],
};

/** "At 1:00 drop the hips", "last 15 s slow down", "@1:00 close the eyes". */
const LEADS_ON = /^(?:[@+]|(?:at|after|(?:(?:for|in) )?(?:the )?(?:last|final)) (?=[\dah]))/i;

/** "Round 3: a little lower", "[last two] close the eyes", "on the third round a little lower". */
function placeFirst(text: string, lasting: number | null): Found | null {
  const body = text.replace(SAID_FIRST, '');
  const boxed = /^[([]([^()[\]]{1,40})[)\]](?: ?[:–—-])? (?=\S)/u.exec(body);
  if (boxed) {
    const place = placeOf(boxed[1] ?? '', lasting);
    // A time in brackets is as well how long it takes.
    const told = place !== null && place.written !== 'time';
    return told ? { place, words: unquoted(body.slice(boxed[0].length)), unsure: false } : null;
  }
  const found = placeAtStart(body, lasting);
  if (!found) return null;
  const { place, length } = found;
  const rest = body.slice(length);
  // A time by which nothing is paced stands before a colon.
  const marks = place.written === 'time' && lasting === null ? [] : BEHIND[place.written];
  const between = [TOLD, MARK, ...marks, ...(place.written === 'time' && LEADS_ON.test(body) ? [SPACE] : [])].map((one) => one.exec(rest)?.[0]).find((one) => one !== undefined); // prettier-ignore
  if (between === undefined) {
    const how = ON_ROUNDS.test(body) && !inName(body) ? rest.replace(/^ (?:(?:are|is) )?/, '') : '';
    return how === '' ? null : { place, words: how, unsure: true };
  }
  const words = unquoted(rest.slice(between.length));
  return isStep(body.slice(0, length), place, words) ? null : { place, words, unsure: false };
}

/** "Last Two Waves": capitals as in a name. */
const inName = (body: string): boolean => /^\p{Lu}\S* (?:\S+ )*\p{Lu}/u.test(body);

const LAST_STEP = /^(?:the )?(?:\p{L}+|\d{1,2}(?:st|nd|rd|th)) steps?$/iu;
const TITLE =
  /^\p{Lu}[\p{L}'’-]*(?: (?:of|the|an?|and|in|on|to|over|under|with|from|at|\p{Lu}[\p{L}'’-]*))* \p{Lu}[\p{L}'’-]*$/u;

/** "Last one: Closing the Gate", "Last: rowing", "First step: bow": the name of a movement, and nothing said in the one above. */
function isStep(before: string, { written, on }: Place, words: string): boolean {
  if (LAST_STEP.test(before) || (TITLE.test(words) && /\p{Ll}/u.test(words))) return true;
  return written === 'alone' && on === 'last' && !/^["“]|^\p{Ll}/u.test(words);
}

const AT_END = /^(.{2,}?)(?: [([]([^()[\]]{2,40})[)\]]| [–—-] ([^–—]{2,40}))[.!]?$/u;
const QUOTED = new RegExp(
  `^(?:say:? )?["“]([^"”]{2,})["”],? ?(?:[-–—(] ?)?(?:${SAY} (?:it |this )?)?(.{2,40}?)\\)?[.!]?$`,
  'iu',
);
const PLAIN =
  /^(.{2,}?) ((?:(?:on|for|in|during|with) (?:the )?(?:(?:very )?(?:last|final)|\d{1,2}(?:st|nd|rd|th)|first|second|third|fourth|fifth|sixth|seventh|eighth|rounds? )|every (?:other|second|third|fourth|2nd|3rd|\d) |(?:after|for the last) (?:\d|an?|one|two|half))[^,;:.!?]{0,30})$/iu;

/** "“Sink” on the first one", "soft elbows (last two)", "close the eyes on the last one". */
function placeLast(text: string, lasting: number | null, inset: boolean): Found | null {
  const quoted = QUOTED.exec(text);
  const quotedAt = quoted && placeOf(quoted[2] ?? '', lasting);
  if (quotedAt) return { place: quotedAt, words: quoted[1] ?? '', unsure: false };
  // A name begins with a capital, and may have a second round of its own.
  if (!inset && !/^\p{Ll}/u.test(text)) return null;
  const [, words = '', boxed, dashed] = AT_END.exec(text) ?? [];
  const set = placeOf(boxed ?? dashed ?? '', lasting);
  if (set && set.written !== 'alone') return { place: set, words: unquoted(words), unsure: false };
  const [, told = '', behind = ''] = PLAIN.exec(text) ?? [];
  const plain = placeOf(behind, lasting);
  if (!plain || (plain.written === 'time' && lasting === null)) return null;
  return { place: plain, words: told, unsure: true };
}

/** "(round 3: a little lower)". */
function outOfBrackets(text: string): string {
  return /^[([]([^()[\]]+)[)\]][.]?$/.exec(text)?.[1] ?? text;
}
