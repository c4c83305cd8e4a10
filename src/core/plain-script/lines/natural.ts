import { withDoubts } from './accounted';
import { minutesAlone } from '../layout/bare-minutes';
import { minutesOfPart, partInLine } from './part-in-line';
import { itemAt, rememberedBy } from '@/core/units';
import { isCue, MAY_COUNT } from '../line-kinds/name-lines';
import { clauseApart } from './clause-apart';
import { amountBelow, withoutBoxedTime } from './boxed';
import { breathingStep } from './breath-lines';
import { breathIn } from './breath-told';
import { findCounts, hasAmount } from '../phrases/counts';
import { doneFor, firstDone, lastingFor, SAT, toldFor } from './lasting';
import { BOTH_SIDES, headed, OTHER_SIDE } from './parts-opened';
import { isSpokenSentence } from './amounts-spoken';
import { spokenIn } from './spoken';
import type { Standing } from '../model/standing';
import { withoutFrame } from '../phrases/frames';
import { isDashed, isNumbered, ITEM, namesPart } from '../line-kinds/headings';
import { greetingIn } from './greetings';
import { amountBehindWords, guidedWords, isDone } from './amount-behind';
import { aboveClass, labelledAs, scripted } from './labelled';
import { layered, withLayersBehind } from '../line-kinds/layers-counted';
import { isOfLetter } from '../layout/letters';
import { withWayOfBreath } from '../line-kinds/step-settings';
import { isStill, isTransition, TALK_STARTS } from '../line-kinds/line-signs';
import { secondsFrom, type LineKind } from '../model/model';
import { sentencesOf, stepsTold } from '../layout/paragraphs';
import { lostClauses } from './lost-clauses';
import { reading, type Reading } from '../model/reading';
import { ofStepAbove } from './of-step-above';
import { restLine } from './rest-lines';
import { rowOf, type Row } from '../layout/rows';
import { spelledOut } from '../tokens/spelled-out';
import { severalSteps } from './several';
import { readRemark, readStep } from './step-lines';
import { countedAbove, remarkOf } from './remarks';
import { headAndTail, type Tailed } from './tails';
import { toldBehind } from './told-behind';
import { nameInSentence } from '../phrases/title-names';
import { stagedIn } from '../line-kinds/pauses';
import { asSentence, capitalised, sentenceCase, singleSpaced, unquoted, wordCount } from '../model/line-words';
import { wayInList } from './ways-in-list';

/** The time of day of the class at which a line stands: "12:40 Row" is no length. */
const UNTIL_STAMP = /,? (?:un)?(?:till?|to) (?:[01]?\d|2[0-3])[:.][0-5]\d$/i;
const STAMP = /^(?:[-–•*] (?=\S{4,9}\s+\S*\d))?\[?\d{1,2}:\d{2}(?::\d{2})?\]?\s+(?=\S)/;
/** From when to when in the class: "2:00-6:00 Loosening", "0–2 min: Welcome". */
const SPAN =
  /^[[(]?(?:(\d{1,2}):(\d{2}) ?(?:[-–—]|to|until) ?(\d{1,2}):(\d{2})|(?:mins? |minutes? )?(\d{1,2}) ?[-–—] ?(\d{1,2})(?: ?(?:mins?|minutes|['′])(?=[\s:])| ?(?=:)))[\])]?\s*(?:[:,.–—-]?\s+(?=\p{L})|:\s+(?=\d))/iu;
/** A longer line is a paragraph that somebody says; no grammar looks through it. */
const GRAMMAR_UP_TO = 500;
const SIGNS = Object.keys({
  underlined: true,
  opens: true,
  apart: true,
  stopsAlone: true,
  heads: true,
  timedBelow: true,
  parts: true,
  beside: true,
  alone: true,
  named: true,
  partAbove: true,
  detailed: true,
  shouted: true,
  inset: true,
  otherMark: true,
  numbersOn: true,
  inMinutes: true,
  listed: true,
  wantsAmount: true,
  uncounted: true,
  headsSpoken: true,
  spoken: true,
} satisfies Record<Exclude<keyof Standing, 'under' | 'lastsSeconds' | 'partName'>, true>) as (keyof Standing)[];

/** All that a line stands in, in one text. */
function keyOf(standing: Standing): string {
  const signs = SIGNS.map((sign) => (standing[sign] === true ? '1' : '0')).join('');
  return `${standing.under} ${standing.lastsSeconds ?? '-'} ${signs} ${standing.partName ?? ''}\n`;
}

/**
 * How a line of ordinary writing is understood, given what it stands under and whether the next line underlines it.
 * One reading, or an in and an out. Remembered: after an edit nearly all lines are what they were.
 */
export function readNatural(line: string, standing: Standing): readonly Reading[] {
  return line.length > REMEMBERED_UP_TO ? readLine(line, standing) : readBefore(line, standing);
}

const readBefore = rememberedBy((line: string, standing: Standing) => keyOf(standing) + line, readLine);
/** Longer lines are not kept: they would fill the memory with each key that is pressed in them. */
const REMEMBERED_UP_TO = 1_000;

function readLine(line: string, standing: Standing): readonly Reading[] {
  // A long line is looked through only where it is long by its blanks alone.
  const written = line.trim();
  const short = written.length > GRAMMAR_UP_TO ? singleSpaced(written) : written;
  if (isOfLetter(short, standing.under)) return [reading('nothing', '')];
  const staged = stagedIn(short);
  if (staged) return [staged];
  if (standing.beside) return [reading('nothing', '', {}, true)];
  const heading = standing.under === 'nothing' ? aboveClass(short) : null;
  if (heading) return heading;
  const told = paragraphOf(short, line, standing);
  if (told) return told;
  const row: Row = short.length > GRAMMAR_UP_TO ? { text: short, remarks: [] } : rowOf(spelledOut(short));
  const { text, remarks, part } = row;
  const stands = row.named ? { ...standing, named: true } : standing;
  const found = withWayOfBreath(minutesOfPart(text, readWhole(text, line, stands)));
  const doubted = withDoubts(text, standing.inMinutes ? minutesAlone(text, found) : found).flatMap(nameAlone);
  const readings = doubted.filter(({ kind, words }, at) => at === 0 || kind !== 'said' || !LEFT_OVER.test(words));
  const [first] = readings;
  // "8) Standing, 4'" over "9) close: rub hands, bow": what goes on numbering is not said into the silence.
  if (standing.under === 'silence' && !standing.inset && first?.kind === 'said' && !first.sets && isNumbered(line))
    return [{ ...reading('talk', sentenceCase(first.words), {}, true), said: first.words }, ...readings.slice(1)];
  const opened = part === undefined ? [] : [reading('section', part)];
  const beside = first && HAS_REMARKS.has(first.kind) ? [...readings, ...remarks.flatMap(remarkOf)] : readings;
  return [...opened, ...beside, ...lostClauses(text, beside).flatMap(remarkOf)];
}

/** "Sit on the edge of the bed. 1 min to notice the breath": a name ends with its sentence. */
function nameAlone(one: Reading): readonly Reading[] {
  const [, name, behind] = /^((?:\S+ ){2,}\p{L}{3,})\. (\p{Ll}.*)$/u.exec(one.words) ?? [];
  if (name === undefined || behind === undefined || !STEPS.has(one.kind)) return [one];
  return [{ ...one, words: name, unsure: true }, reading('said', asSentence(behind))];
}

/** What is left of "5 rounds of in 4 / out 6" says nothing. */
const LEFT_OVER =
  /^(?:of|with|at|in|on|and|for|the|to|then|(?:arm|leg|hand|foot|side)(?: (?:arm|leg|hand|foot|side))?)$/i;

const PARAGRAPH_FROM = 60;
/** Of the sentences of a paragraph that tells a class so many are steps. */
const STEPS_AT_LEAST = 2;
const STEPS_SHARE = 0.4;

/** A paragraph as its sentences, where enough of them are steps with amounts; `null` for any other line. */
function paragraphOf(text: string, line: string, standing: Standing): readonly Reading[] | null {
  const sentences = text.length < PARAGRAPH_FROM ? [] : sentencesOf(text).flatMap(stepsTold);
  if (sentences.length === 0) return null;
  let { under } = standing;
  let steps = 0;
  const found = sentences.map((sentence, at) => {
    const part = at < sentences.length - 1 ? /^(?:the |a )?(.{4,30})\.$/i.exec(sentence.trim())?.[1] : undefined;
    if (part !== undefined && namesPart(part)) return [reading('section', sentenceCase(part))];
    const { text: spelled } = rowOf(spelledOut(sentence.trim()));
    const readings = readWhole(spelled, line, { ...standing, under });
    const inLayers = readings.some(({ sets }) => sets?.layers !== undefined);
    const step = readings.find(({ kind, counts }) => STEPS.has(kind) && (inLayers || hasAmount(counts)));
    if (step) [under, steps] = [step.kind, steps + 1];
    return readings;
  });
  if (steps < STEPS_AT_LEAST || steps < STEPS_SHARE * sentences.length) return null;
  return found.flatMap((readings) => readings.map((one) => ({ ...one, unsure: true })));
}

/** A sentence or a row, with what is told behind its step. */
function readWhole(text: string, line: string, standing: Standing): readonly Reading[] {
  const spoken = scripted(text.replace(ITEM, ''));
  if (spoken === '') return [reading('nothing', '')];
  if (spoken !== null) {
    const quiet = readWhole(spoken, spoken, standing);
    return quiet[0]?.kind === 'silence' ? quiet : [{ ...reading('said', spoken), how: true }];
  }
  const part = partInLine(text.replace(ITEM, '')) ?? breathingStep(text, standing.under);
  if (part) return part;
  const behind = toldBehind(text);
  const done = behind ? readWhole(behind.head, line, standing) : [];
  if (behind && isOneStep(done)) return [...done, ...behind.told];
  const whole = withoutStop(text, line, standing) ?? readText(text, line, standing);
  return withTail(whole, text, line, standing) ?? whole;
}

/** Whether readings are of one movement or silence with its amount. */
function isOneStep(found: readonly Reading[]): boolean {
  const [step, ...others] = found.filter(({ kind }) => STEPS.has(kind));
  return step !== undefined && others.length === 0 && step === found[0] && hasAmount(step.counts);
}

const EYES = /^(?:with )?eyes (?:closed|shut|open|half (?:closed|open|shut))(?=[.!]?$)/i;

/** What is done, and nothing else. */
const STEPS: ReadonlySet<LineKind> = new Set(['movement', 'silence', 'talk', 'transition']);

/** The step before a stop or another mark and what is told behind it, where the whole line kept less of it; else `null`. */
function withTail(
  whole: readonly Reading[],
  text: string,
  line: string,
  standing: Standing,
): readonly Reading[] | null {
  const [first, ...others] = whole;
  if (!first || !(STEPS.has(first.kind) || first.kind === 'said') || others.some(({ kind }) => STEPS.has(kind)))
    return null;
  const apart = headAndTail(text) ?? (first.kind === 'movement' ? nameAndSentences(text) : null);
  if (!apart) return null;
  const found = readText(apart.head, line, standing);
  const [step] = found;
  if (!step || !STEPS.has(step.kind) || found.length > 1) return null;
  if (apart.counted && first.kind !== 'said' && JSON.stringify(step.counts) !== JSON.stringify(first.counts)) return null; // prettier-ignore
  if (apart.counted) return [{ ...step, unsure: true }, reading('said', apart.tail)];
  // How the eyes are is told of a silence by its name.
  const eyes = EYES.exec(apart.tail)?.[0];
  if (eyes !== undefined && step.kind === 'silence')
    return first.words.includes(eyes) ? null : [{ ...step, words: `${step.words}, ${eyes.toLowerCase()}` }];
  const kept = others.map(({ words }) => words).join(' ');
  // "Crane, 15 s per leg, x2 - Maria uses the chair": by itself the head is certain.
  const surer = first.unsure && !step.unsure && step.kind === first.kind;
  if (!surer && step.words === first.words && kept.length >= apart.tail.length - 3) return null;
  // "The Crane Dries Her Wings. Six times, slowly. Let them watch first."
  const ofName = first.unsure && /[.!] \p{Lu}/u.test(apart.head);
  if (first.kind === 'said' && step.unsure && !ofName) return null;
  return [...found, ...remarkOf(apart.tail)];
}

/** "Step wide. Look at the horizon.", "Sway … and let everything hang": a name without amounts, and what is told behind it. */
function nameAndSentences(text: string): Tailed | null {
  if (MAY_COUNT.test(text.replace(ITEM, ''))) return null;
  const [, head = '', tail = ''] = NAME_THEN_TOLD.exec(text) ?? [];
  return tail === '' ? null : { head, tail };
}

const NAME_THEN_TOLD = /^((?:\S{1,3}\s+)?\p{Lu}[^.!?…:]{2,50}?)(?:[.!] (?=\p{Lu})|\s?(?:\.{3}|…)\s?)(\S.{8,})$/u;

const HAS_REMARKS: ReadonlySet<LineKind> = new Set(['movement', 'talk', 'silence', 'section']);

/** A stop behind an amount, as all lines of a script may have one. */
const STOPPED =
  /(?:[\d)'"’′″”\]]|\b(?:x|s|m|mins?|minutes?|secs?|seconds?|sides?|legs?|arms?|ways?|each|ea|times|rounds|reps))\.$/iu;

/** The line without the stop behind its amount, where it is a step, a part or an amount then; else `null`. */
function withoutStop(text: string, line: string, standing: Standing): readonly Reading[] | null {
  // What is spoken in a movement keeps its stop.
  if ((standing.spoken && isSpokenSentence(text)) || text.length > GRAMMAR_UP_TO || !STOPPED.test(text)) return null;
  const readings = readText(text.slice(0, -1), line.trimEnd().slice(0, -1), standing);
  return readings.some(({ kind }) => TOLD.has(kind)) ? null : readings;
}

const TOLD: ReadonlySet<LineKind> = new Set(['said', 'caution', 'level', 'seated', 'inhale', 'exhale', 'nothing']);

function readText(text: string, line: string, standing: Standing): readonly Reading[] {
  const { under, named, detailed, inset: further, listed: among, otherMark, lastsSeconds } = standing;
  if (text === '' || /^[-=_*~\s]{2,}$/.test(text)) return [reading('nothing', '')];
  if (text.length > GRAMMAR_UP_TO) return [reading('said', text, {}, true)];
  // "Sit with eyes closed, 2 min:" over what is said into it.
  if (!standing.heads && opensSilence(text)) return readText(text.slice(0, -1), line, standing);
  const boxed = withoutBoxedTime(text);
  if (boxed !== null) return readText(boxed, line, standing);
  const span = spanOf(text);
  const behindStamp = text.replace(STAMP, '');
  const stamped = span?.behind ?? (behindStamp === text ? text : behindStamp.replace(UNTIL_STAMP, ''));
  const greeted = greetingIn(stamped, under);
  if (greeted) return greeted;
  if (standing.headsSpoken) return [{ ...reading('movement', stamped.replace(ITEM, '')), heads: true }];
  const opened = headed(stamped, span?.seconds ?? null, standing);
  if (opened) return opened;
  const item = ITEM.test(stamped) || ((among || named || detailed) && isShortName(stamped));
  const body = stamped.replace(ITEM, '');
  const placed = standing.spoken && isSpokenSentence(body) ? null : atPlace(body, line, standing);
  if (placed) return placed;
  const above = ofStepAbove(body, standing) ?? (standing.uncounted ? countedAbove(body) : null);
  if (above) return above;
  const behind = withLayersBehind(body);
  const mark = stamped.slice(0, stamped.length - body.length);
  const [taught] = behind ? namedOr(behind.head, readText(mark + behind.head, line, standing)) : [];
  if (behind && taught?.kind === 'movement') return [taught, layered(body, behind.layers)];
  const amount = standing.wantsAmount ? amountBelow(body) : null;
  if (amount && MAY_COUNT.test(amount.text)) {
    const [set, ...more] = readText(amount.text, amount.text, { ...standing, wantsAmount: false });
    if (set?.kind === 'setting' && more.length === 0) return [{ ...set, unsure: set.unsure || amount.unsure }];
  }
  const labelled = talkLasting(body, lastsSeconds) ?? labelledAs(body, under);
  if (labelled) return labelled;
  const side = under === 'movement' && !ITEM.test(stamped) ? SIDE_FIRST.exec(body) : null;
  if (side)
    return readStep(`${itemAt(side, 2)}, ${/^r/i.test(itemAt(side, 1)) ? 'right' : 'left'} side only`, false, under);
  const apart = clauseApart(body, item, (part) => readText(mark + part, line, standing));
  if (apart) return apart;
  const guided = guidedWords(body);
  if (guided) return guided;
  const led = item ? null : (spokenIn(body, standing) ?? amountBehindWords(body, standing));
  if (led) return led;
  const rested = restLine(body, { under, item, lastsSeconds: span?.seconds ?? lastsSeconds });
  if (rested) return [rested];
  const breathed = breathIn(body, under);
  if (breathed) return breathed;
  const { counts } = findCounts(body);
  if (/^["“][^"”]*["”]?[.!?]?$/.test(body)) return [reading('said', unquoted(body))];
  if (item && isDashed(line) && SENTENCE.test(body) && !hasAmount(counts)) return [reading('said', body, {}, true)];
  if (/^[([][^()[\]]*[)\]][.!]?$/.test(body) && Object.keys(counts).length === 0) return [reading('said', body)];
  const inset = item && under === 'movement' && (otherMark || (further && /^\s{2,}/.test(line)));
  if (inset && standing.uncounted && isCue(body)) return [reading('said', body)];
  const way = item && !inset && under === 'movement' && !standing.wantsAmount ? wayInList(body) : null;
  if (way) return [way];
  const several = TALK_STARTS.test(body) ? null : (severalSteps(body) ?? severalSteps(withoutFrame(body) ?? ''));
  if (several) return several;
  if (under === 'movement' && BOTH_SIDES.test(body)) return [reading('setting', '', { sides: 'alternating' })];
  if (under === 'movement' && OTHER_SIDE.test(body)) return [reading('setting', '', { sides: 'one-then-other' })];
  const found = readStep(body, item || span !== null, inset ? 'said' : detailed ? 'section' : under);
  return lastingOrSaid(found, body, span?.seconds ?? null, standing);
}

/** What is read of a step, with how long it lasts by the times that lines begin with; said, where it is a sentence among names. */
function lastingOrSaid(
  found: readonly Reading[],
  body: string,
  spanSeconds: number | null,
  { stopsAlone, lastsSeconds, under }: Standing,
): readonly Reading[] {
  // What is told beside a step does not last as well.
  const [step, ...beside] = found;
  if (stopsAlone && step?.kind === 'movement' && !hasAmount(step.counts)) return [reading('said', body, {}, true)];
  const lasts = spanSeconds ?? lastsSeconds;
  if (!step || lasts === null) return found;
  const done = toldFor(doneFor(step, body, lasts), body, lasts, { under, spanned: spanSeconds !== null });
  if (spanSeconds === null) return [done, ...beside];
  return firstDone(done, body, spanSeconds) ?? [lastingFor(done, lasts), ...beside];
}

/** A movement by its capitals, where its line is taken for no step: "After that I taught Gathering the Tide". */
function namedOr(head: string, readings: readonly Reading[]): readonly Reading[] {
  if (readings[0]?.kind === 'movement') return readings;
  const name = nameInSentence(head);
  if (name === null && PLAIN_NAME.test(head) && wordCount(head) <= 5) return [reading('movement', head, {}, true)];
  return name === null ? readings : [reading('movement', name.name, {}, true)];
}

const PLAIN_NAME = /^\p{L}[\p{L} '’-]{2,40}$/u;

/** "Place the hands on the thighs, palms down.": behind a dash, and with its stop. */
const SENTENCE = /^\p{L}+(?: \S+){4,}\.$/u;

/** A talk by its label, as long as the column of times leaves it; `null` for any other line. */
function talkLasting(body: string, lasts: number | null): readonly Reading[] | null {
  const told = lasts === null ? undefined : TALK_LABEL.exec(body)?.[1];
  if (told === undefined || lasts === null) return null;
  return [reading('talk', capitalised(told), { seconds: secondsFrom([lasts, lasts], 1) }, true)];
}

/** "03:30 talk: why we breathe out slowly", in a column of times. */
const TALK_LABEL = /^(?:talk|explain|explanation|story|chat|q ?& ?a): ?(\S.{2,120})$/i;

/** "Right: x4", "L 45 s", below a name: of that side, where the other has a line of its own. */
const SIDE_FIRST =
  /^(?:on )?(?:the )?(left|right|l|r)(?: (?:side|leg|foot|arm|hand))?(?:[:,–-] ?| )((?:hold )?(?:[x×] ?)?\d{1,3}(?::\d\d)? ?(?:[x×]|times|rounds|reps|s|secs?|seconds|m|mins?|minutes?)?)[.!]?$/i;

/** "Sit. Turn the head x4", "Lie or sit. Three breaths.": a change of place before a step. */
const PLACE_FIRST = /^([^.!?:\d]{3,30})[.!] (?=\p{Lu}|\d)(.{4,120})$/u;
const AT_PLACE = /^(?:(?:start|begin)(?:ning|ing)? )?(?:seated|standing|sitting|lying|lie|sit|stand)(?: (?:or|and) (?:sit|stand|lie|standing|sitting|lying))?(?: down| up| tall)?$/i; // prettier-ignore

/** A change of place, and the step behind it in the same line; `null` for any other. */
function atPlace(body: string, line: string, standing: Standing): readonly Reading[] | null {
  const [, place = '', next = ''] = PLACE_FIRST.exec(body) ?? [];
  if (next !== '' && isPlace(place) && OF_SILENCE.test(next)) {
    const { counts } = findCounts(next);
    if (counts.seconds !== undefined && counts.rounds === undefined) return [reading('silence', place, { seconds: counts.seconds })]; // prettier-ignore
  }
  if (next === '' || !isPlace(place) || !isCountedFirst(next)) return null;
  const [, counted = next, more] = /^(.{4,60}?)[.!] (?=\p{Lu})(.+)$/u.exec(next) ?? [];
  const told = more === undefined ? [] : readRemark(more);
  return [reading('transition', place, {}), ...readText(counted, line, standing), ...told];
}

const OF_SILENCE = /^[^.!?]{0,24}\b(?:silence|quiet|stillness|in silence)\b[^.!?]{0,16}[.!]?$/i;

/** Whether the first sentence counts rounds, or moves for a time; else a time is how long they stay there. */
function isCountedFirst(text: string): boolean {
  const [first = ''] = text.split(/[.!] /);
  const { counts } = findCounts(first);
  if (counts.seconds !== undefined) return isDone(first);
  return counts.rounds !== undefined;
}

function isPlace(text: string): boolean {
  return isTransition(text) || AT_PLACE.test(text);
}

/** Whether a line with a colon at its end is a silence by its words and its time. */
function opensSilence(text: string): boolean {
  if (!/^[^:]{3,60}:$/.test(text) || !MAY_COUNT.test(text)) return false;
  const { counts, rest } = findCounts(text.slice(0, -1).replace(ITEM, ''));
  return counts.seconds !== undefined && counts.rounds === undefined && !namesPart(rest) && (isStill(rest) || SAT.test(rest)); // prettier-ignore
}

/** Whether a line could be a name in a list. */
function isShortName(text: string): boolean {
  return wordCount(text) <= 7 && !/[.!?:”"]$/.test(text) && !TALK_STARTS.test(text);
}

/** How long a line lasts that says from when to when, and what stands behind that; `null` for any other. */
function spanOf(text: string): { readonly seconds: number; readonly behind: string } | null {
  const match = SPAN.exec(text);
  if (!match) return null;
  const [all, ...figures] = match;
  const [fromMinute, fromSecond, toMinute, toSecond, from, to] = figures.map((one) => Number(one ?? 0));
  const start = ((fromMinute ?? 0) + (from ?? 0)) * 60 + (fromSecond ?? 0);
  const seconds = ((toMinute ?? 0) + (to ?? 0)) * 60 + (toSecond ?? 0) - start;
  return seconds > 0 ? { seconds, behind: text.slice(all.length) } : null;
}
