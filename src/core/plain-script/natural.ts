import { itemAt } from '@/core/units';
import type { SectionRole } from '@/core/movement';
import { findCounts, secondsOf } from './counts';
import type { Counts, LineKind } from './model';

/** One thing that a line says; a line may hold an in and an out. */
export interface Reading {
  readonly kind: LineKind;
  readonly words: string;
  readonly counts: Counts;
  readonly unsure: boolean;
}

const ITEM = /^\s*(?:\d{1,3}[.)]|[-*•–])\s+/;
const BREATH = /^(?:and |then |now )*(?:(in|out)(?::| -|,)|(inhale|exhale)\b|breathe (in|out)\b|breath (in|out)\b)/i;
const NAME_AT_MOST = 90;
/** A longer line is a paragraph that somebody says; no pattern looks through it. */
const PATTERNS_UP_TO = 500;
/** A line that is only the name of a part of a class. */
const PART =
  /^(?:welcome|introduction|intro|arrival|arriving|grounding|warm[- ]?up|loosening|(?:the )?main (?:set|part|section|practice)|practice|settling|cool[- ]?down|stillness|closing|ending)$/i;

/** The part of a class that a heading names; the main set where it names none. */
export function roleOf(title: string): SectionRole {
  const found = ROLES.find(([, words]) => words.test(title));
  return found ? found[0] : 'main';
}

const ROLES: readonly (readonly [SectionRole, RegExp])[] = [
  ['welcome', /welcom|intro|greet/i],
  ['arrival', /arriv|ground|cent(?:er|re)ing|stance|settle in/i],
  ['loosening', /warm|loosen|shak|joint/i],
  ['closing', /clos|end\b|ending|finish|thank|farewell/i],
  ['settling', /settl|still|quiet|cool|medit|rest/i],
];

/**
 * How a line of ordinary writing is understood, given what it stands under and whether the next line underlines it.
 * One reading, or an in and an out.
 */
export function readNatural(line: string, under: LineKind, underlined = false): readonly Reading[] {
  const text = line.trim().replace(/\s+/g, ' ');
  if (text === '' || /^[-=_*~\s]{3,}$/.test(text)) return [reading('nothing', '')];
  if (text.length > PATTERNS_UP_TO) return [reading('said', text, {}, true)];
  const heading = underlined ? text : headingOf(text);
  if (heading !== null) return [reading('section', heading)];
  const pause = pauseOf(text);
  if (pause !== null) return [reading('pause', '', { seconds: [pause, pause, pause] })];
  const item = ITEM.test(text);
  const body = text.replace(ITEM, '');
  const breaths = breathsOf(body);
  if (breaths.length > 0) return breaths;
  const { counts, rest } = findCounts(body);
  const counted = counts.rounds !== undefined || counts.seconds !== undefined || counts.ownPace === true;
  const named = item || (counted && body.length <= NAME_AT_MOST);
  if (named) {
    // A count alone under a movement says how often; it starts nothing.
    if (rest === '' && counted) return [reading('setting', '', counts)];
    if (/^(?:stand|sit|lie|stillness|silence|quiet|be still|rest)\b/i.test(rest) && counts.seconds !== undefined) {
      return [reading('silence', rest, counts)];
    }
    if (isTransition(rest) && counts.rounds === undefined) return [reading('transition', rest, counts)];
    const looksSaid = /[.!?]$/.test(rest) && !counted && rest.split(/\s+/).length > 8;
    if (looksSaid) return [reading('said', body, {}, true)];
    return [reading('movement', rest === '' ? body : rest, counts, item && !counted && rest.split(/\s+/).length > 8)];
  }
  if (isTransition(rest) && body.length <= NAME_AT_MOST && under !== 'talk') return [reading('transition', body)];
  // Prose is said; a short line without a full stop may have been a name.
  const unsure = !/[.!?…”"]$/.test(body) && body.split(/\s+/).length < 6;
  return [reading('said', body, {}, unsure)];
}

function reading(kind: LineKind, words: string, counts: Counts = {}, unsure = false): Reading {
  return { kind, words, counts, unsure };
}

/** Whether a line is one of a list: numbered, or behind a dash or a dot. */
export function isItem(line: string): boolean {
  return ITEM.test(line);
}

/** A heading: with `#`, in capitals, the name of a part of a class, or short with a colon at its end. */
function headingOf(line: string): string | null {
  const text = line.trim();
  const marked = /^#{1,6}\s+(.*?)\s*#*$/.exec(text);
  if (marked) return itemAt(marked, 1);
  if (ITEM.test(text)) return null;
  if (PART.test(text)) return text;
  const letters = text.replace(/[^\p{L}]/gu, '');
  const capitals = letters.length >= 3 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
  if (capitals && text.length <= 60) return text.replace(/:$/, '');
  const colon = /^([^:.!?]{2,50}):$/.exec(text);
  return colon && !BREATH.test(text) ? itemAt(colon, 1) : null;
}

/** "(pause 20 s)", "pause 20 seconds", "silence for a minute". */
export function pauseOf(text: string): number | null {
  const match =
    /^\(?(?:pause|silence|wait)(?: for)?:? ?(?:(\d{1,4}(?:\.\d+)?)|(half a|an?|one|two|three|five|ten)(?= |$)) ?(minutes?|mins?|m|seconds?|secs?|s)?\.?\)?$/i.exec(
      text.trim(),
    );
  if (!match) return null;
  if (match[1] !== undefined) {
    const seconds = Number(match[1]) * (/^m/i.test(match[3] ?? '') ? 60 : 1);
    return seconds <= 300 ? seconds : null;
  }
  const seconds = secondsOf(itemAt(match, 2), match[3]);
  return seconds !== null && seconds <= 300 ? seconds : null;
}

function isTransition(text: string): boolean {
  return (
    /^(?:step|bring|place|change|turn|shift|move|switch)\b.*\b(?:feet|foot|legs?|stance|sides?)\b/i.test(text) ||
    /^feet (?:apart|together|wide)/i.test(text)
  );
}

/** The breaths that a line leads: "in: … out: …", "inhale …, exhale …", "breathe in …". */
function breathsOf(text: string): Reading[] {
  const first = BREATH.exec(text);
  if (!first) return [];
  const kindOf = (match: RegExpExecArray): 'inhale' | 'exhale' => {
    const word = (match[1] ?? match[2] ?? match[3] ?? match[4] ?? '').toLowerCase();
    return word === 'in' || word === 'inhale' ? 'inhale' : 'exhale';
  };
  const split = /[,.;–—-]?\s+(?=(?:and |then )*(?:(?:in|out):|inhale\b|exhale\b|breathe (?:in|out)\b))/i;
  return text.split(split).flatMap((part) => {
    const match = BREATH.exec(part.trim());
    if (!match) return [];
    const { counts, rest } = findCounts(part.trim());
    const colon = /^(?:in|out):/i.test(part.trim());
    const words = (counts.hold === undefined ? part.trim() : rest).replace(colon ? /^(?:in|out):\s*/i : /^$/, '');
    const held = counts.hold === undefined ? {} : { hold: counts.hold };
    return [reading(kindOf(match), colon ? words : sentence(words), held)];
  });
}

/** With a capital at its start and a stop at its end, as a line is said. */
function sentence(words: string): string {
  const text = words.trim();
  if (text === '') return '';
  const started = text.charAt(0).toUpperCase() + text.slice(1);
  return /[.!?…]$/.test(started) ? started : `${started}.`;
}
