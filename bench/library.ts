import { itemAt } from '@/core/units';
import { findMovements } from '../src/islands/library/find-movements';
import { summaryOf } from '../src/core/movement';
import { demoLibrary } from '../src/demo/library';
import { ms, timed } from './measure';

/** Searching and narrowing a library of 2 000 movements, as at every letter typed. */
export function benchLibrary(): void {
  const demo = demoLibrary().map(summaryOf);
  const entries = Array.from({ length: 2000 }, (_, at) => ({
    id: `m${at}`,
    revision: 1,
    archived: false,
    summary: { ...itemAt(demo, at % demo.length), name: `${itemAt(demo, at % demo.length).name} ${at}` },
  }));
  const plain = timed(() => entries.filter((entry) => entry.summary.name.toLowerCase().includes('lamp')), 40);
  const search = timed(() => findMovements(entries, 'lamp', {}), 40);
  const narrow = timed(() => findMovements(entries, '', { role: 'main', caution: 'balance' }), 40);
  console.log(
    `searching 2 000 movements in all their names: median ${ms(search.median)}, p95 ${ms(search.p95)} ` +
      `(${(search.median / plain.median).toFixed(0)} : 1 beside looking for the letters in one name); narrowing ${ms(narrow.median)}`,
  );
}
