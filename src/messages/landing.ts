import type { Replan } from '@/core/conductor';
import { formatClock } from '@/core/units';
import { changeWords } from './fit';

/** Changes that are told; the others are counted. */
const TOLD = 3;

/** How late it is, what would be changed, and when the class then ends. */
export function landingWords(
  lateSeconds: number,
  offered: Replan | null,
  nameOf: (stepId: string) => string,
): { readonly late: string; readonly changes: string; readonly ends: string } {
  const late = `${offWords(lateSeconds)}.`;
  if (!offered) return { late, changes: 'No remaining step can make up for that.', ends: '' };
  const breath = Math.round(100 * (offered.breathFactor - 1));
  const worth = offered.changes.filter(({ what, from, to }) => what !== 'time' || Math.abs(to - from) >= SLIGHT);
  const all = [
    ...(worth.length > 0 || breath !== 0 ? worth : offered.changes).map((change) => {
      const { what, from, to } = changeWords(change, nameOf);
      return change.what === 'left-out'
        ? `skip ${what}`
        : `${what} ${short(from).replace(EXACT, '$1')} → ${to.replace(EXACT, '$1')}`;
    }),
    ...(breath === 0 ? [] : [`breath ${Math.abs(breath)} % ${breath < 0 ? 'quicker' : 'slower'}`]),
  ];
  const more = all.length - TOLD;
  const told = all.slice(0, TOLD).join(', ');
  const after = Math.round(offered.lateAfterSeconds);
  return {
    late,
    changes: more > 0 ? `${told}, and ${more} more:` : `${told}:`,
    ends: Math.abs(after) <= 2 ? 'ends on time' : `ends ${offWords(after)}`,
  };
}

/** A time that is changed by less, in seconds, is a remainder of other changes, and not read out. */
const SLIGHT = 2;

/** Tenths of a second are too much to read from afar. */
const EXACT = /^(\d+:\d\d)\.\d$/;

/** "3 rounds" before an arrow is "3". */
function short(from: string): string {
  return from.replace(/ rounds?$/, '');
}

function offWords(seconds: number): string {
  const off = Math.abs(Math.round(seconds));
  const size = off < 60 ? `${off} s` : formatClock(off);
  return `${size} ${seconds > 0 ? 'late' : 'early'}`;
}
