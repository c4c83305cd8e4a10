import { itemAt } from '@/core/units';
import { isBreathWord, firstWord } from '../tokens/first-words';
import { isItem, namesPart } from '../line-kinds/headings';
import { LABELS, SETTINGS } from '../phrases/labels';
import { wordCount } from '../model/line-words';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { plainHead } from './heads';

/*
 * Scripts that are spoken word for word: who speaks before each line, and the name of each movement by itself above what
 * is said in it.
 */

const LINE_AT_MOST = 300;
const SPEAKER = /^(\s*)(\p{Lu}[\p{Lu}.]{1,14}|\p{Lu}[\p{L}.]{1,14}):\s+(?=\S)/u;
const SPOKEN_AT_LEAST = 3;
const SHARE_AT_LEAST = 0.3;

/** The lines without who speaks, where enough of them begin with the same word: "SPEAKER: Come to sit." */
export function withoutSpeaker(lines: readonly string[]): readonly string[] {
  const labels = lines.map((line) => (line.length > LINE_AT_MOST ? null : (SPEAKER.exec(line)?.[2] ?? null)));
  const written = lines.filter((line) => line.trim() !== '').length;
  const count = new Map<string, number>();
  for (const label of labels) if (label !== null) count.set(label, (count.get(label) ?? 0) + 1);
  const [speaker, times = 0] = [...count].sort(([, a], [, b]) => b - a)[0] ?? [];
  if (speaker === undefined || times < SPOKEN_AT_LEAST || times < SHARE_AT_LEAST * written) return lines;
  const known = speaker.toLowerCase();
  if (LABELS.has(known) || SETTINGS.has(known) || namesPart(known) || isBreathWord(known)) return lines;
  // What stands behind it is spoken, and no name with an amount in a list of them.
  const spoken = lines.filter(
    (line, at) => labels[at] === speaker && /[.!?…][)"”\]]?$|[)\]]$/.test(line.trim()),
  ).length;
  if (spoken < times / 2) return lines;
  return lines.map((line, at) => (labels[at] === speaker ? line.replace(SPEAKER, '$1') : line));
}

const STAMP = /^\[?\d{1,2}:\d{2}(?::\d{2})?\]?\s+/;
/** "2. Scooping the Tide". */
const NUMBER = /^\d{1,2}[.)] +(?=\p{Lu})/u;
const NAME = /^\p{Lu}[\p{L}'’-]*(?: [\p{L}'’-]+){1,6}$/u;
const SENTENCE = /^["“(]?\p{L}.{10,}[.!?…]["”)\]]?$|^["“(]?\p{L}.{8,}[)\]]\.?$/u;
const BREATH = /\b(?:inhal|exhal|breath(?:e|ing)? (?:in|out))|^(?:in|out)\b/i;
const LINES_BELOW = 12;

/** Whether each line is a name by itself above sentences that are said in it, with their breaths and amounts. */
export function spokenHeads(lines: readonly string[]): readonly boolean[] {
  const first = lines.findIndex((line) => line.trim() !== '');
  return lines.map((line, at) => at > first && isSpokenHead(lines, at));
}

function isSpokenHead(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at).trim();
  const stamped = line.replace(STAMP, '');
  const name = stamped.replace(NUMBER, '');
  const numbered = name !== stamped;
  const above = (lines[at - 1] ?? '').trim();
  if (name.length > 60 || !NAME.test(name) || wordCount(name) > 7 || !(numbered || hasCapitals(name))) return false;
  if ((above !== '' && name === line) || namesPart(plainHead(name)) || isBreathWord(firstWord(name))) return false;
  const below: string[] = [];
  for (const next of lines.slice(at + 1, at + 1 + LINES_BELOW)) {
    if (next.trim() === '' || isItem(next)) break;
    below.push(next.trim().replace(STAMP, ''));
  }
  const [next = ''] = below;
  // In a numbered list one sentence may be an amount by itself.
  if (numbered && !/\p{L}[.!?…] ["“]?\p{Lu}/u.test(next)) return false;
  return SENTENCE.test(next) && below.some((one) => BREATH.test(one) || (MAY_COUNT.test(one) && SENTENCE.test(one)));
}

/** Most of its longer words begin with a capital. */
function hasCapitals(name: string): boolean {
  const words = name.split(' ').filter((word) => word.length > 3);
  return words.length > 0 && words.every((word) => /^\p{Lu}/u.test(word));
}
