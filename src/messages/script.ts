import type { Counts, LineKind, ReadLine } from '@/core/plain-script';
import { formatClock } from '@/core/units';
import { DURING_PLACE_WORDS, SIDE_PLAN_WORDS } from './movement';
import { roundsCounted } from './sides';
import { STEP_KIND_WORDS } from './steps';

/** What a line of a pasted script was taken for. */
export const LINE_KIND_WORDS: Readonly<Record<LineKind, string>> = {
  title: 'title',
  section: 'section',
  ...STEP_KIND_WORDS,
  said: 'said',
  inhale: 'inhale',
  exhale: 'exhale',
  hold: 'hold',
  pause: 'pause',
  caution: 'caution',
  level: 'level',
  seated: 'seated version',
  setting: 'count or setting',
  nothing: 'skipped',
};

/** What a line counts, how many steps it names with theirs, where in a step it is said, and what else stands in it. */
export function lineCounts({ counts, steps, also = [], over }: ReadLine): string {
  if (over) return overWords(over);
  const counted = steps === undefined ? countWords(counts) : `and ${steps - 1} more ${steps === 2 ? 'step' : 'steps'}`;
  const besides = also.map((kind) => LINE_KIND_WORDS[kind]).join(', ');
  return [counted, besides === '' ? '' : `and ${besides}`].filter((part) => part !== '').join(', ');
}

/** The counts that were found in a line. */
export function countWords(counts: Counts): string {
  const { rounds, roundsWithin, sides, seconds, ownPace, held, hold, startSide, breath, rests } = counts;
  const within = roundsWithin ? ` (${roundsWithin[0]} to ${roundsWithin[1]})` : '';
  return [
    rounds === undefined ? '' : `${roundsCounted(rounds)}${within}`,
    sides === 'one-side' ? `${startSide ?? 'left'} side only` : sides === undefined ? '' : SIDE_PLAN_WORDS[sides],
    startSide === undefined || sides === 'one-side' ? '' : `${startSide} first`,
    seconds === undefined ? '' : `${held ? 'held ' : ''}${formatClock(seconds[0])}`,
    ownPace ? 'own pace' : '',
    breath === undefined ? '' : breathText(breath, rests),
    hold === undefined ? '' : `hold ${hold} s`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}

function overWords({ on, number }: NonNullable<ReadLine['over']>): string {
  if (on === 'time') return `at ${formatClock(number)}`;
  if (on === 'round') return `on round ${number}`;
  if (on === 'every') return number === 1 ? 'every round' : `every ${number} rounds`;
  if (on === 'last') return number === 1 ? 'on the last round' : `in the last ${number} rounds`;
  return DURING_PLACE_WORDS.anywhere;
}

/** "in 4 s, rest 7 s, out 8 s". */
function breathText([inhale, exhale]: readonly [number, number], [full, empty]: readonly [number, number] = [0, 0]) {
  const rest = (seconds: number): string => (seconds > 0 ? `, rest ${seconds} s` : '');
  return `in ${inhale} s${rest(full)}, out ${exhale} s${rest(empty)}`;
}
