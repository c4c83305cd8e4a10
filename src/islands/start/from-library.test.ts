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

/** The server's library is the demo's. */
function answerFromDemo(): void {
  vi.stubGlobal('fetch', (path: string) => {
    const at = Number(/id-(\d+)$/.exec(path)?.[1]);
    return Promise.resolve(Response.json({ id: `id-${at}`, revision: 3, archived: false, movement: movements[at] }));
  });
  vi.stubGlobal('crypto', { randomUUID: newId });
}

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
    answerFromDemo();
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

  it('keeps all that the script writes below a movement', async () => {
    answerFromDemo();
    const written = readScript(
      newId,
      [
        'Class', '', 'Main set',
        'On the right:',
        '1. Raising the lamp x3', '   Think of a lamp on a rope.', '   in: hands rise', '   out: hands sink', '   round 2: a little lower', '   soft elbows (last one)', '   Caution: stop if the shoulder hurts',
        '2. Standing on one leg', '   30 s', '   natural breath',
        'Same on the left',
        '3. Turning the lighthouse', '   rounds: 5', '   (own pace, 2 min)', '   call back 20 s before the end',
      ].join('\n'),
    ); // prettier-ignore
    const plan = await withLibrary(written, knownMovements(written, entries));
    const [lamp, heron, light] = stepsInOrder(plan).map(({ step }) => step);
    const known = movements.find(({ name }) => name === 'Raising the lamp');
    expect(lamp).toMatchObject({
      rounds: 3,
      preferredRounds: 3,
      startSide: 'right',
      traditionalName: 'Raise the arms',
      teach: [{ text: 'Think of a lamp on a rope.' }],
      pattern: [{ action: 'hands rise' }, { action: 'hands sink' }],
      during: [
        { on: 'round', number: 2, text: 'a little lower' },
        { on: 'last', number: 1, text: 'soft elbows' },
      ],
      moments: { naming: known?.moments.naming, caution: 'stop if the shoulder hurts' },
    });
    expect(heron).toMatchObject({
      seconds: 30,
      startSide: 'right',
      pattern: [{ kind: 'free' }],
      cautions: ['balance'],
    });
    expect(lamp?.blockId).not.toBeNull();
    expect(heron?.blockId).toBe(lamp?.blockId);
    expect(heron).toMatchObject({ sides: 'together' });
    expect(light).toMatchObject({ blockId: null, seconds: 120, callBackLeadSeconds: 20 });
  });

  it('gives each of two of a name the amount that stands with it', async () => {
    answerFromDemo();
    const twice = readScript(newId, 'Class\n\nMain set\n1. Raising the lamp x3\n2. Something else x2\n3. Raising the lamp, own pace, 2 min'); // prettier-ignore
    const plan = await withLibrary(twice, knownMovements(twice, entries));
    const [first, , third] = stepsInOrder(plan).map(({ step }) => step);
    expect(first).toMatchObject({ pacedBy: 'breath', rounds: 3 });
    expect(third).toMatchObject({ pacedBy: 'own-pace', seconds: 120 });
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
