import { itemAt } from '@/core/units';
import { isManner } from '../phrases/breath-counts';
import { breathsOf } from './breath-lines';
import { findCounts } from '../phrases/counts';
import { heldTold } from '../phrases/held-postures';
import { namesPart, withoutItsTime } from '../line-kinds/headings';
import { LABELS, nameOfNumbered, SETTINGS, withUsualLabel } from '../phrases/labels';
import { CLASS_FROM, type Counts, type LineKind } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { capitalised, sentenceCase, unquoted, wordCount } from '../model/line-words';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { severalSteps } from './several';
import { readStep } from './step-lines';

/* Lines with a label before a colon that says what they are. */

/** "Say: “Hello.”": the words in quotation marks are said, and nothing else. */
const SAY_QUOTED =
  /^(?:say|cue|call(?: out)?|tell them|remind them|i say|you say|we say)[:,]? ["“]([^"“”]{2,300})["”][.!]?$/i;
/** "Say before: “No hurry.”", "Before we start, say: “No hurry.”", "Say after: “Well done.”". */
const SAY_BEFORE =
  /^(?:(?:say|cue)(?: this)? (?:before(?:hand)?|first|at the (?:start|beginning)|to (?:begin|start))|(?:before(?:hand)?|first|at the (?:start|beginning)|to (?:begin|start)|before (?:we|you|they) (?:begin|start))(?:,? (?:I )?(?:say|cue))?): ?["“]?([^"“”]{2,300}?)["”]?$/i;
const SAY_AFTER =
  /^(?:(?:say|cue)(?: this)? (?:after(?:wards)?|at the (?:end|finish)|to (?:end|finish|close))|(?:after(?:wards)?|at the (?:end|finish)|to (?:end|finish|close)),? (?:I )?(?:say|cue)): ?["“]?([^"“”]{2,300}?)["”]?$/i;
/** "Opening line: “Good evening.”", "Last words: “Rest well.”". */
const FIRST_OR_LAST =
  /^(opening|closing|first|last|final|welcome|farewell) (?:line|lines|words|sentence|phrase): ?["“]?([^"“”]{2,300}?)["”]?$/i;
/** Behind the name of a part a longer name may be something else. */
const WORDS_OF_A_NAME = 3;
/** What lasts so long, in seconds, is a step and no smaller version of one. */
const STEP_FROM = 60;

/** "Caution: …", "Level 1: …", "Rounds: 5 each way": the label says what the line is. */
export function labelledAs(written: string, under: LineKind): readonly Reading[] | null {
  const body = withUsualLabel(written, under === 'movement');
  const before = under === 'movement' ? SAY_BEFORE.exec(body) : null;
  if (before) return [{ ...reading('said', itemAt(before, 1)), sets: { before: itemAt(before, 1) } }];
  const after = SAY_AFTER.exec(body);
  if (after && under === 'movement') return [reading('said', itemAt(after, 1))];
  const numbered = nameOfNumbered(body);
  const [step, ...remarks] = numbered === null ? [] : readStep(numbered, true, 'nothing');
  if (step?.kind === 'movement' || step?.kind === 'silence') return [asHead(step), ...remarks];
  const [, end, words] = FIRST_OR_LAST.exec(body) ?? [];
  const lasts = words === undefined ? null : findCounts(words);
  if (end !== undefined && lasts?.counts.seconds && lasts.rest === '')
    return [reading('talk', sentenceCase(body.replace(/:.*$/, '')), { seconds: lasts.counts.seconds })];
  if (end !== undefined && words !== undefined)
    return [{ ...reading('talk', /^(?:open|first)/i.test(end) ? 'Opening' : 'Closing'), said: words }];
  const quoted = SAY_QUOTED.exec(body);
  if (quoted) return [cued(/^\p{L}*/u.exec(body)?.[0] ?? '', itemAt(quoted, 1))];
  const about = under === 'nothing' ? aboutClass(body) : null;
  return about ? [about] : withLabel(body, under, /^step\b/i.test(written));
}

const SCRIPTED =
  /^(?:script|narrat(?:e|ion)|voice-?over|dialogue|speech|(?:the )?(?:instructor|teacher|leader|guide)(?: (?:says?|speaks|script|cue))?|say|cue):(?: (.*))?$/iu;

/** "Script: Welcome, everyone.": the words behind a label of what is spoken word for word, none where they stand below it; else `null`. */
export function scripted(body: string): string | null {
  const [all, words = ''] = SCRIPTED.exec(body) ?? [];
  if (all === undefined || (words !== '' && /^(?:say|cue|guide):/i.test(body))) return null;
  return unquoted(words.trim());
}

const CUES: ReadonlySet<string> = new Set(['cue', 'cues', 'key cue', 'key cues', 'verbal cue', 'verbal cues', 'tip', 'imagery', 'image', 'visualisation', 'visualization', 'focus', 'teaching point', 'teaching points', 'key point', 'correction', 'corrections']); // prettier-ignore

/** What is said behind a label; a cue is one of how it is done. */
function cued(label: string, words: string): Reading {
  return { ...reading('said', words), how: CUES.has(label.toLowerCase()) };
}

/** "Theme: letting go", "For: beginners", above the first step. */
function aboutClass(body: string): Reading | null {
  const [, label = '', text = ''] = /^([\p{L} ]{2,20}): +(.+)$/u.exec(body) ?? [];
  const about = OF_CLASS.get(label.toLowerCase());
  return about === undefined || findCounts(text).counts.seconds ? null : { ...reading('setting', text), about };
}

/** "Date: 4 March   Duration: 60 minutes   Level: mixed": several labels of a class in one line above it, with its length. */
export function aboveClass(line: string): readonly Reading[] | null {
  if (line.length > 300) return null;
  const [, told = '', lasts = ''] = TOLD_THEN_LENGTH.exec(line) ?? [];
  const long = told === '' || MAY_COUNT.test(told) ? undefined : findCounts(lasts).counts.seconds;
  if (long && long[0] >= CLASS_FROM) return [reading('setting', '', { seconds: long }, true), reading('said', told)];
  const day = OF_DAY.exec(line)?.[1];
  const lasting = day === undefined ? undefined : findCounts(`it, ${day}`).counts.seconds;
  if (lasting && lasting[0] >= CLASS_FROM)
    return [reading('setting', '', { seconds: lasting }, true), reading('said', line.trim())];
  const labels = new Set([...line.matchAll(ABOVE)].map(([, label = '']) => label.toLowerCase()));
  if (labels.size < 2) return null;
  const [, length = ''] =
    /\b(?:duration|length|total(?: time)?|running time) ?: *([^;|\t]{1,30}?)(?=$|[;|\t,]| {2,}| \p{L}+:)/iu.exec(
      line,
    ) ?? [];
  const { seconds } = findCounts(length).counts;
  return [reading('setting', '', seconds ? { seconds } : {}, true)];
}

/** "Please start on time. 30 mins." */
const TOLD_THEN_LENGTH =
  /^([^.!?\d]{8,80}[.!]) (?:about |around |roughly )?(\S{1,8} ?min(?:ute)?s?|half an hour|an hour)[.]?$/iu;
/** "Tuesday 10:30, 45 min, about 12 people". */
const OF_DAY =
  /^\s*(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?s?,? (?:at )?\d{1,2}[:.]\d{2}(?: ?[ap]m)?, (\d{2,3} ?min(?:ute)?s?)\b.*/i;

const ABOVE =
  /(?:^|[\s,;|(])(date|time|when|where|day|duration|length|total|total time|running time|level|venue|place|room|teacher|instructor|group|participants|class|theme|focus) ?:(?= )/gi;

function withLabel(body: string, under: LineKind, isStep: boolean): readonly Reading[] | null {
  const match = /^([\p{L} -]{2,20}?)(?: ?(\d))?(?::| -|;)\s+(.+)$/u.exec(body);
  if (!match) return null;
  const label = itemAt(match, 1).toLowerCase().replace('-', '');
  const text = itemAt(match, 3);
  const { counts, rest } = findCounts(text);
  // "Level: beginners. Length: half an hour."
  if (label === 'level' && /\b(?:length|duration|time|target):/i.test(text) && counts.seconds)
    return [reading('setting', '', counts)];
  if (label === 'level') return [under === 'movement' ? { ...reading('level', text), label: body.slice(0, body.indexOf(text)).replace(/[\s:;–-]+$/, '') } : reading('said', text)]; // prettier-ignore
  // Below a step it tells of the class so far.
  if (/^t(?:arget|otal)/.test(label) && under !== 'nothing' && under !== 'talk')
    return /^\d{1,3}$/.test(text) ? [reading('said', body, {}, true)] : null;
  if (SETTINGS.has(label)) return settingOf(label, text, counts, under);
  if (label === 'breath' || label === 'breathing') return breathLabelled(label, text, counts);
  // "Walking practice - free, 8 min": how it is done is no name.
  if (isManner(rest) || /^(?:free(?:ly)?|alone|together|optional)$/i.test(rest)) return null;
  // "Warm-up: shake, 60 s": the part of the class stands before the step.
  if (namesPart(itemAt(match, 1)) && rest !== '' && (counts.rounds !== undefined || counts.seconds !== undefined)) {
    const several = severalSteps(text);
    if (several) return several;
    const [step, ...remarks] = readStep(text, true, under);
    if (!step || step.kind === 'said') return null;
    const unsure = step.unsure || wordCount(step.words) > WORDS_OF_A_NAME;
    return [{ ...step, unsure }, ...remarks];
  }
  if (label === 'hold') {
    const [held, ...remarks] = heldTold(body) === null ? [] : readStep(body, true, under);
    if (held?.counts.held && held.words !== '') return [held, ...remarks];
    return [
      reading(
        'movement',
        rest === '' ? text : rest.replace(/[.,;] (?:time|length|duration|reps|rounds)[:.]?$/i, ''),
        counts,
      ),
    ];
  }
  const kind = LABELS.get(label);
  if (kind === undefined || /^(?:in|out|inhale|exhale)$/.test(label)) return null;
  const sitting = kind === 'seated' ? doneSitting(itemAt(match, 1), text) : null;
  if (sitting) return sitting;
  // "Sitting - 5 min": what is done, and how long.
  if (kind === 'seated' && /^\d{1,2}$/.test(text)) return null;
  const timed = kind === 'seated' ? (counts.seconds?.[0] ?? 0) : 0;
  if (timed > 0 && (timed >= STEP_FROM || /^(?:for |about )?\d/.test(text))) return null;
  if (kind === 'pause') {
    const seconds = counts.seconds?.[0];
    return seconds === undefined ? null : [reading('pause', '', { seconds: [seconds, seconds, seconds] })];
  }
  if (kind === 'movement' && rest !== '') {
    const [step, ...remarks] = readStep(text, true, 'nothing');
    if (step?.kind === 'movement') return [asHead(step), ...remarks];
    // "Step 7: Stand in silence, 2 min".
    if (isStep && (step?.kind === 'silence' || step?.kind === 'talk')) return [step, ...remarks];
  }
  if (kind === 'section')
    return [reading(kind, withoutItsTime(text), counts.seconds ? { seconds: counts.seconds } : {})];
  if (label === 'check in' && counts.seconds && counts.rounds === undefined)
    return [{ ...reading('talk', capitalised(itemAt(match, 1)), { seconds: counts.seconds }), said: rest }];
  if (kind === 'level') return [{ ...reading(kind, text), label: capitalised(itemAt(match, 1)) }];
  if (kind === 'said') return [cued(label, text)];
  if (kind !== 'movement' && kind !== 'silence' && kind !== 'transition') return [reading(kind, text)];
  return [reading(kind, nameOf(label, text, rest), counts)];
}

/** "Seated: ankle pumps x20, knee lifts x10 each": what is done sitting, and no other way. */
function doneSitting(label: string, text: string): readonly Reading[] | null {
  const done = severalSteps(text);
  return done && done.length > 1 ? [reading('transition', capitalised(label), {}, true), ...done] : null;
}

/** A name without amounts heads what is spoken below it. */
function asHead(step: Reading): Reading {
  return Object.keys(step.counts).length === 0 ? { ...step, heads: true } : step;
}

/** What a step is called behind its label; by the label where only an amount stands there. */
function nameOf(label: string, text: string, rest: string): string {
  if (rest !== '') return rest;
  return /\bbreaths?\b/i.test(text) ? text : capitalised(label);
}

/** Labels of what is told of a class above its first step. */
const OF_CLASS: ReadonlyMap<string, 'focus' | 'audience'> = new Map([
  ...['theme', 'focus', 'intention', 'topic', 'aim', 'goal', 'purpose'].map((label) => [label, 'focus'] as const),
  ...['for', 'for whom', 'level', 'levels', 'audience', 'participants', 'group', 'who'].map(
    (label) => [label, 'audience'] as const,
  ),
]);

/** "Breath: in up, out down", also so many of them. */
function breathLabelled(label: string, text: string, counts: Counts): readonly Reading[] | null {
  if (counts.breath) return null;
  const amount = text.search(/,? ?(?:[x×] ?\d|\d+ ?[x×]|\d+ (?:times|rounds))/);
  const breaths = breathsOf(
    (amount < 0 ? text : text.slice(0, amount)).replace(
      /\b(in|out) (?=(?:on|with|as|at|through|for|over)\b)/gi,
      (_, way: string) => `${/^i/i.test(way) ? 'inhale' : 'exhale'} `,
    ),
  );
  if (counts.rounds !== undefined && breaths.length > 0)
    return [reading('movement', sentenceCase(label), counts), ...breaths];
  return breaths.length > 0 ? breaths : null;
}

function settingOf(label: string, text: string, counts: Counts, under: LineKind): readonly Reading[] | null {
  if (/^sides?$/.test(label) && /^(?:both|each|alternat\w+)(?: sides?)?[.]?$/i.test(text))
    return [reading('setting', '', { sides: 'alternating' })];
  if (label === 'for' && counts.seconds && under === 'movement') return [reading('setting', '', counts)];
  if (label === 'for' || label === 'call back') return [reading('setting', text, {}, true)];
  const side = /^(left|right)\b/i.exec(text);
  if (/^sides?$/.test(label) && side)
    return [reading('setting', '', { startSide: /^l/i.test(text) ? 'left' : 'right' })];
  const bare = /^(\d{1,3})(?![\d:.])/.exec(text);
  const rounds = counts.rounds === undefined && counts.seconds === undefined && bare ? { rounds: Number(bare[1]) } : {};
  const set = { ...counts, ...rounds };
  // "Reps: as you like" sets nothing.
  return Object.keys(set).length === 0 ? null : [reading('setting', '', set)];
}
