import { itemAt, type Seconds } from '@/core/units';
import { withoutMarkup } from '../tokens/spelled-out';
import { isManner } from '../phrases/breath-counts';
import { findCounts, hasAmount } from '../phrases/counts';
import { isLabelled } from '../phrases/labels';
import { bareName } from '../phrases/names';
import { namesPart, withoutMark } from '../line-kinds/headings';
import { TALK_STARTS } from '../line-kinds/line-signs';
import { isNameLike, isRemark } from '../line-kinds/name-lines';
import { amountAlone } from '../line-kinds/amounts-alone';
import { isTold, kindOfPart } from '../line-kinds/talks';
import { indentOf } from '../model/line-words';
import { isPartName, LIKE_PART, markOf, plainHead } from './heads';

/*
 * "Tide steps" over "- inhale: arms rise", "- exhale: arms sink" and "- 6 times": the name of a step over a list of how
 * it is done, and no part of the class over its steps. What stands below tells which of them it is.
 */

/** Which lines name such a step, and which stand in one. */
export interface OverDetails {
  readonly names: readonly boolean[];
  readonly within: readonly boolean[];
  /** How long what a line names is to last, where that is told below it and nobody moves; else `null`. */
  readonly lasting: readonly (Seconds | null)[];
}

/** A step has hardly more lines of its own. */
const LINES_LOOKED_AT = 16;
const LONGEST_NAME = 60;
/** So many of them with their amounts or their breath below tell that the others of their look are steps, too. */
const SURE_AT_LEAST = 2;

/** A heading of any level. */
const HASHED = /^#{2,6}\s+\S/;

interface Block {
  readonly at: number;
  readonly to: number;
  /** What stands before it, and before what is below it. */
  readonly look: string;
  readonly sure: boolean;
  readonly seconds: Seconds | null;
}

/** The names of steps over lists of how each is done. */
export function overDetails(lines: readonly string[]): OverDetails {
  const first = lines.findIndex((line) => line.trim() !== '');
  const blocks = lines.flatMap((_, at) => (at > first ? (blockAt(lines, at) ?? []) : []));
  const sure = new Map<string, number>();
  for (const block of blocks) if (block.sure) sure.set(block.look, (sure.get(block.look) ?? 0) + 1);
  const steps = blocks.filter((block) => block.sure || (sure.get(block.look) ?? 0) >= SURE_AT_LEAST);
  const names = lines.map(() => false);
  const within = lines.map(() => false);
  const lasting = lines.map((): Seconds | null => null);
  for (const { at, to, seconds } of steps) {
    names[at] = true;
    within.fill(true, at + 1, to);
    lasting[at] = seconds;
  }
  return { names, within, lasting };
}

/** A name with a list below it in which no other step stands; `null` where a line is none. */
function blockAt(lines: readonly string[], at: number): Block | null {
  const line = itemAt(lines, at);
  const isHead = HASHED.test(line);
  const head = line.length > LONGEST_NAME ? '' : plainHead(line);
  const { counts, rest } = findCounts(head);
  // "### Gentle shaking (1 minute)" over what is told in it.
  const counted = hasAmount(counts);
  if (counted && (!isHead || isOverHeads(lines, at))) return null;
  const name = counted ? bareName(rest) : head;
  const kind = kindOfPart(name);
  if (
    !(isNameLike(name) || kind === 'talk') ||
    (namesPart(name) && kind !== 'silence' && !isTold(name)) ||
    (counted && (kind === 'talk' || LIKE_PART.test(name)))
  )
    return null;
  const mark = markOf(line);
  const from = isHead && (lines[at + 1] ?? '').trim() === '' ? at + 2 : at + 1;
  const to = endOf(lines, { at, from, mark, isHead });
  const texts = lines.slice(from, to).map((one) => withoutMark(withoutMarkup(one)).trim());
  const below = texts.map(whatIs);
  const markBelow = markOf(lines[from] ?? '');
  // Numbers below a name are steps.
  if (below.length === 0 || markBelow === '1' || below.includes('step')) return null;
  const often = (told: Told): number => below.filter((one) => one === told).length;
  const furtherIn =
    mark !== null && !/:\s*$/.test(line) && indentOf(itemAt(lines, from)) > indentOf(line) && below.length > 1;
  const remarks = often('remark') === below.length && (counted || furtherIn);
  const told = often('setting') > 0 || (counted && often('remark') > 0) || remarks;
  const sure = told && often('setting') + often('remark') >= often('other');
  if (counted && !sure) return null;
  // What sounds like a part of the class has to tell how often.
  if (!sure && LIKE_PART.test(name)) return null;
  const seconds = kind === 'movement' ? null : secondsIn(texts);
  if (namesPart(name) && seconds === null) return null;
  return {
    at,
    to,
    look: `${counted ? 'counted ' : ''}${isHead ? '#' : (mark ?? (indentOf(line) > 0 ? 'inset' : ''))} ${markBelow ?? ''}`,
    sure,
    seconds,
  };
}

/** Whether a heading stands over deeper ones. */
function isOverHeads(lines: readonly string[], at: number): boolean {
  const depth = (line: string): number => /^#*/.exec(line)?.[0].length ?? 0;
  const next = lines.slice(at + 1, at + 1 + LINES_LOOKED_AT).find((line) => HASHED.test(line)) ?? '';
  return depth(next) > depth(itemAt(lines, at));
}

/** Where the lines end that stand in a name: below a heading, further in, behind marks or labels, or from an amount alone on. */
function endOf(
  lines: readonly string[],
  { at, from, mark, isHead }: { at: number; from: number; mark: string | null; isHead: boolean },
): number {
  const indent = indentOf(itemAt(lines, at));
  const next = lines[from] ?? '';
  const isApart = (lines[at - 1] ?? '').trim() === '' || isPartName(lines[at - 1] ?? '');
  const plain = isApart && mark === null && indentOf(next) === indent && markOf(next) === null && !isLabelled(next);
  const counted = plain && isSetting(next);
  const isBelow = (line: string, index: number): boolean => {
    if (line.trim() === '' || /^#{1,6}\s/.test(line)) return false;
    if (isHead || indentOf(line) > indent) return true;
    if (indentOf(line) < indent) return false;
    // "- 6 times" under "2. Rowing".
    if (mark !== null) return mark === '1' && /^[^\p{L}\d]$/u.test(markOf(line) ?? '');
    if (markOf(line) !== null || isLabelled(line)) return true;
    // The next name has its amount below it as well.
    return counted && !(index > from && isSetting(lines[index + 1] ?? ''));
  };
  let to = from;
  while (to < lines.length && to <= at + LINES_LOOKED_AT && isBelow(itemAt(lines, to), to)) to++;
  return to;
}

/** "6 times", "2 min. Soft knees.": whether a line begins with an amount that has no name. */
function isSetting(line: string): boolean {
  const [first = ''] = withoutMark(line)
    .trim()
    .split(/[.,;] /);
  return (
    /\d|\p{L}/u.test(first) &&
    whatIs(first) === 'setting' &&
    (hasAmount(findCounts(first).counts) || amountAlone(first) !== undefined)
  );
}

/** The time that the lines below a name tell, where none tells how often; else `null`. */
function secondsIn(texts: readonly string[]): Seconds | null {
  const counts = texts.filter((text) => whatIs(text) === 'setting').map((text) => findCounts(text).counts);
  const [first] = counts.flatMap(({ seconds }) => (seconds ? [seconds[0]] : []));
  return counts.some(({ rounds }) => rounds !== undefined) ? null : (first ?? null);
}

/** A longer line is said. */
const COUNTED_UP_TO = 200;

/** What a line below a name is: a step with its amount; an amount, a breath or a label of the step above; a remark on it; anything else. */
type Told = 'step' | 'setting' | 'remark' | 'other';

const BREATH =
  /^(?:inhal|exhal|breath(?:e|ing)? (?:in|out)\b|(?:in|out)(?::| [–-]|,) |(?:on|with) (?:the|an?|each|your) (?:in|out|inhale|exhale)\b|(?:as you|while|when) (?:in|ex)hal(?:e|ing))|\band (?:then )?breathe (?:in|out)[.]?$|\b(?:in[- ]?breath|out[- ]?breath|inhal(?:e|ing)|exhal(?:e|ing)|breathing (?:in|out))[.]?$/i;
const OFTEN =
  /^(?:repeat(?:ed)?|do|this|that|keep going|go round|round it|carry on|continue|perform|practi[sc]e|hold|for|each|both|in all|altogether)\b.{0,12}$|^$/i;

function whatIs(text: string): Told {
  if (text.length > COUNTED_UP_TO) return 'remark';
  if (isLabelled(text) || BREATH.test(text) || amountAlone(text) !== undefined) return 'setting';
  const [first = '', ...more] = text.split(/(?<=\p{L}|\d)[.,;] (?=\p{L})/u);
  if (more.length > 0 && !hasAmount(findCounts(more.join('. ')).counts) && whatIs(first) === 'setting') return 'setting'; // prettier-ignore
  const { counts, rest } = findCounts(text);
  const left = bareName(rest).replace(/[.!]$/, '');
  if (hasAmount(counts) || counts.breath || counts.sides || counts.ownPace)
    return OFTEN.test(left) || isManner(left)
      ? 'setting'
      : hasAmount(counts)
        ? 'step'
        : /[.!?]$/.test(text)
          ? 'remark'
          : 'other';
  return isRemark(text) || /[.!?”"]$/.test(text) || TALK_STARTS.test(text) ? 'remark' : 'other';
}
