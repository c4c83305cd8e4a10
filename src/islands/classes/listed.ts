import { differenceInCalendarDays, format, isSameYear, parseISO } from 'date-fns';
import type { ListedClass } from '@/api/classes';
import { matchSorter } from 'match-sorter';

export const SORTS = {
  arranged: 'As arranged',
  edited: 'Last edited',
  title: 'Title',
  length: 'Length',
  live: 'Next live date',
} as const;
export type Sort = keyof typeof SORTS;

/** What of the list is asked for. */
export interface Asked {
  readonly words: string;
  readonly tag: string | null;
  readonly sort: Sort;
}

export const ALL: Asked = { words: '', tag: null, sort: 'arranged' };

/** Whether the list is shown by series, as it was arranged. */
export function isArranged({ words, tag, sort }: Asked): boolean {
  return words.trim() === '' && tag === null && sort === 'arranged';
}

/** Every tag in use, by the alphabet. */
export function tagsOf(classes: readonly ListedClass[]): string[] {
  return [...new Set(classes.flatMap(({ tags }) => tags))].sort((a, b) => a.localeCompare(b));
}

/** The classes that were asked for, in the order asked for; as they stand in the list where none is. */
export function findListed(classes: readonly ListedClass[], { words, tag, sort }: Asked): readonly ListedClass[] {
  const tagged = tag === null ? classes : classes.filter(({ tags }) => tags.includes(tag));
  const asked = words.trim();
  const found =
    asked === ''
      ? tagged
      : matchSorter(tagged, asked, {
          keys: ['title', 'about', 'tags'],
          threshold: matchSorter.rankings.CONTAINS,
          ...(sort !== 'arranged' && { sorter: (ranked) => ranked }),
        });
  return sort === 'arranged' ? found : [...found].sort(ORDERS[sort]);
}

type Order = (a: ListedClass, b: ListedClass) => number;
const ORDERS: Readonly<Record<Exclude<Sort, 'arranged'>, Order>> = {
  edited: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  title: (a, b) => a.title.localeCompare(b.title),
  length: (a, b) => a.runtimeSeconds - b.runtimeSeconds,
  // Those without a date come last.
  live: (a, b) => (a.nextLive ?? '9').localeCompare(b.nextLive ?? '9'),
};

/** When something was done, as one says it: "today", "on Tuesday", "last week", "in October". */
export function whenWords(iso: string, now = new Date()): string {
  const at = parseISO(iso);
  const days = differenceInCalendarDays(now, at);
  if (days <= 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 7) return `on ${format(at, 'EEEE')}`;
  if (days < 14) return 'last week';
  if (days < 31) return `${Math.floor(days / 7)} weeks ago`;
  return `in ${format(at, isSameYear(at, now) ? 'MMMM' : 'MMMM yyyy')}`;
}

/** When something comes: "today 18:00", "Thursday 18:00", "14 May 18:00". */
export function comesWords(iso: string, now = new Date()): string {
  const at = parseISO(iso);
  const days = differenceInCalendarDays(at, now);
  const clock = format(at, 'HH:mm');
  if (days <= 0) return `today ${clock}`;
  if (days === 1) return `tomorrow ${clock}`;
  if (days < 7) return `${format(at, 'EEEE')} ${clock}`;
  return `${format(at, isSameYear(at, now) ? 'd MMM' : 'd MMM yyyy')} ${clock}`;
}
