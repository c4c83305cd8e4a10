import type { Difference } from '@/core/report';
import { formatClock } from '@/core/units';
import { SIDE_NAMES } from './sides';

/** Where take and plan differ in kind, in a sentence; `name` is the step's. */
export function differenceSentence(one: Difference, name: string): string {
  switch (one.kind) {
    case 'rounds': {
      const side = one.side ? `, ${SIDE_NAMES[one.side]}` : '';
      const more = one.found - one.planned;
      const count = Math.abs(more) === 1 ? 'one round' : `${Math.abs(more)} rounds`;
      return `${name}${side}: ${count} ${more > 0 ? 'more' : 'fewer'} than planned, ${one.found} for ${one.planned}.`;
    }
    case 'last-one':
      return `${name}: the last round was announced, and ${one.more === 1 ? 'another' : `${one.more} more`} came.`;
    case 'left-out':
      return `${name}: skipped. None of its lines was heard, and its time is missing.`;
    case 'moved':
      return `${name}: its lines seem to have been said at ${formatClock(one.atSeconds)}, not at the planned place.`;
    case 'interrupted':
      return `${name}: interrupted for about ${formatClock(one.seconds)}.`;
  }
}
