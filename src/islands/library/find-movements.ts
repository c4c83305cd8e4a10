import { matchSorter } from 'match-sorter';
import type { LibraryEntry } from '@/api/movements';
import { passes, type MovementFilter } from '@/core/movement';

/** Entries that match what was typed (in any of their names or tags) and pass the filter, the best match first. */
export function findMovements(
  entries: readonly LibraryEntry[],
  typed: string,
  filter: MovementFilter,
  archived = false,
): LibraryEntry[] {
  const kept = entries.filter((entry) => entry.archived === archived && passes(entry.summary, filter));
  if (typed.trim() === '') return kept;
  return matchSorter(kept, typed.trim(), {
    keys: ['summary.name', 'summary.traditionalName', 'summary.otherNames', 'summary.tags'],
  });
}
