import { afterEach, describe, expect, it, vi } from 'vitest';
import { summaryOf } from '@/core/movement';
import { readScript } from '@/core/plain-script';
import { stepsInOrder } from '@/core/plan';
import { demoLibrary } from '@/demo/library';
import { findMovements } from '../library/find-movements';
import { knownMovements, withLibrary } from './from-library';

const movements = demoLibrary();
const entries = movements.map((movement, at) => ({
  id: `id-${at}`,
  revision: 3,
  archived: movement.name === 'Bell buoy',
  summary: summaryOf(movement),
}));
let count = 0;
const newId = (): string => `l${++count}`;

afterEach(() => vi.unstubAllGlobals());

describe('a script beside the library', () => {
  const read = readScript(
    newId,
    'Class\n\nMain set\n1. raising the LAMP x7\n2. Standing on one leg\n3. Bell buoy\n4. Something else, 2 times',
  );

  it('knows movements by any of their names, but no archived ones', () => {
    const known = knownMovements(read, entries);
    expect([...known].map(([name, entry]) => [name, entry.summary.name])).toEqual([
      ['raising the LAMP', 'Raising the lamp'],
      ['Standing on one leg', 'Heron on the piling'],
    ]);
  });

  it('takes what the library has and keeps the counts of the script', async () => {
    vi.stubGlobal('fetch', (path: string) => {
      const at = Number(/id-(\d+)$/.exec(path)?.[1]);
      return Promise.resolve(Response.json({ id: `id-${at}`, revision: 3, archived: false, movement: movements[at] }));
    });
    vi.stubGlobal('crypto', { randomUUID: newId });
    const plan = await withLibrary(read, knownMovements(read, entries));
    const [lamp, heron, buoy] = stepsInOrder(plan).map(({ step }) => step);
    expect(lamp).toMatchObject({
      name: 'raising the LAMP',
      rounds: 7,
      traditionalName: 'Raise the arms',
      source: { revision: 3 },
    });
    expect(heron).toMatchObject({ sides: 'one-then-other', rounds: 2, cautions: ['balance'] });
    expect(buoy).toMatchObject({ name: 'Bell buoy', source: null });
  });

  it('stays as it was read when the library does not answer', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new Error('away')));
    expect(await withLibrary(read, knownMovements(read, entries))).toEqual(read.plan);
  });
});

describe('finding movements', () => {
  it('by any name or tag, the best match first, archived ones apart', () => {
    const names = (typed: string, archived = false): string[] =>
      findMovements(entries, typed, {}, archived).map((entry) => entry.summary.name);
    expect(names('lamp')[0]).toBe('Raising the lamp');
    expect(names('standing on one')).toEqual(['Heron on the piling']);
    expect(names('evening')).toContain('Banking the stove');
    expect(names('buoy')).toEqual([]);
    expect(names('buoy', true)).toEqual(['Bell buoy']);
    expect(names('zzz')).toEqual([]);
  });
});
