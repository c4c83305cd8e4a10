import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { patternNotes, phaseSeconds, PRESETS } from '@/core/breath';
import {
  addPhase,
  CONTENT_FIELDS,
  contentOf,
  copyContent,
  differingFields,
  joinPhases,
  lengthenPhase,
  makeContent,
  makeLibraryMovement,
  makePhase,
  moveBorder,
  movePhase,
  passes,
  presetPattern,
  readMovement,
  readMovementText,
  removePhase,
  splitPhase,
  summaryOf,
  type Movement,
  type Phase,
} from '.';

let count = 0;
const newId = (): string => `m${++count}`;
const pace = { breathSeconds: 10, inhaleShare: 0.4 };
const lengths = (pattern: readonly Phase[]): number[] => pattern.map((phase) => phaseSeconds(phase, pace));
const pattern = (): Phase[] => [
  makePhase(newId, { kind: 'inhale', action: 'rise', full: 'Rise.' }),
  makePhase(newId, { kind: 'exhale', action: 'sink', full: 'Sink.' }),
];

describe('changes to a breath pattern', () => {
  it('split and join keep the length of the round and every word', () => {
    const before = pattern();
    const split = splitPhase(newId, before, 1, pace);
    expect(lengths(split)).toEqual([4, 3, 3]);
    const joined = joinPhases(split, 1, pace);
    expect(lengths(joined)).toEqual([4, 6]);
    expect(joined[1]).toMatchObject({ kind: 'exhale', action: 'sink', full: 'Sink.' });
    expect(joinPhases(before, 0, pace)[0]).toMatchObject({ kind: 'inhale', action: 'rise sink', full: 'Rise. Sink.' });
  });

  it('a border gives to one phase what it takes from the other, and never all of it', () => {
    expect(lengths(moveBorder(pattern(), 0, 1.5, pace))).toEqual([5.5, 4.5]);
    const [first, second] = firstItems(lengths(moveBorder(pattern(), 0, 99, pace)), 2);
    expect(first + second).toBeCloseTo(10, 6);
    expect(second).toBeGreaterThan(0);
  });

  it('adds, moves, lengthens and removes, and never leaves a round empty', () => {
    const three = addPhase(newId, pattern(), 'hold', 0);
    expect(three.map((phase) => phase.kind)).toEqual(['inhale', 'hold', 'exhale']);
    expect(movePhase(three, 1, 1).map((phase) => phase.kind)).toEqual(['inhale', 'exhale', 'hold']);
    expect(movePhase(three, 0, -1)).toBe(three);
    expect(lengths(lengthenPhase(pattern(), 0, 0.5, pace))).toEqual([4.5, 6]);
    const [only] = firstItems(pattern(), 1);
    expect(removePhase([only], 0)).toEqual([only]);
  });

  it('keeps the words when another shape is taken', () => {
    const shaped = presetPattern(newId, 'hold-after-inhale', pattern());
    expect(shaped.map(({ kind, full }) => [kind, full])).toEqual([
      ['inhale', 'Rise.'],
      ['hold', ''],
      ['exhale', 'Sink.'],
    ]);
    const acting = pattern().map((phase) => ({ ...phase, action: `${phase.kind} of its own` }));
    const actions = (id: 'longer-out' | 'natural-belly') =>
      presetPattern(newId, id, acting).map(({ action }) => action);
    expect(actions('longer-out')).toEqual(['inhale of its own', 'exhale of its own']);
    expect(actions('natural-belly')).toEqual(['belly widens', 'belly softens']);
    for (const { id } of PRESETS) {
      const made = makeLibraryMovement(makeContent(newId, id, { pattern: presetPattern(newId, id, []) }));
      expect(readMovement(made).ok, id).toBe(true);
    }
  });
});

describe('remarks on a breath pattern', () => {
  /* Slow breathing is 4 to 10 a minute (Russo, Santarelli, O'Rourke 2017, Breathe 13:298–309); resting adults 12 to
     20 (Royal College of Physicians, NEWS2, 2017). */
  it.each([
    [6, []],
    [15, []],
    [5.9, ['quicker-than-slow']],
    [15.1, ['slower-than-slow']],
    [2.5, ['quicker-than-resting']],
  ] as const)('a breath of %s s', (breathSeconds, codes) => {
    const notes = patternNotes(pattern(), { breathSeconds, inhaleShare: 0.45 });
    expect(notes.map((note) => note.code)).toEqual(codes);
  });

  it('a rest of more than four seconds', () => {
    const rest = makePhase(newId, { kind: 'hold', share: null, seconds: 4.5 });
    expect(patternNotes([...pattern(), rest], pace)).toEqual([{ code: 'long-rest', index: 2, seconds: 4.5 }]);
  });
});

/** An entry as version 3 wrote it, without some fields. */
function older(movement: Movement, without: readonly string[]): object {
  const { pacedBy, inhaleShare, minRounds, maxRounds, minSeconds, maxSeconds, ...rest } = movement;
  const pattern = rest.pattern.map((phase) => ({ ...phase, kind: phase.kind === 'inhale' ? 'in' : 'out' }));
  const named = { lead: pacedBy, inShare: inhaleShare, leastRounds: minRounds, mostRounds: maxRounds };
  const third = { ...rest, ...named, leastSeconds: minSeconds, mostSeconds: maxSeconds, sides: 'none', pattern };
  const old = new Set(without);
  return JSON.parse(JSON.stringify(third, (key, value: unknown) => (old.has(key) ? undefined : value))) as object;
}

describe('the library’s door', () => {
  const movement = makeLibraryMovement(makeContent(newId, 'Raising the lamp'));

  it('reads what was written and names every problem at its place', () => {
    const read = readMovementText(JSON.stringify(movement));
    expect(read.ok && read.value).toEqual(movement);
    const bad = { ...movement, name: '', minRounds: 0, levels: [{ name: 'Small' }], extra: 1 };
    const refused = readMovement(bad);
    expect(refused.ok ? [] : refused.problem.map(({ at, code }) => `${at} ${code}`.trim()).sort()).toEqual([
      'levels[0].lines missing',
      'levels[0].note missing',
      'minRounds out-of-range',
      'name empty',
      'unknown-field',
    ]);
    const first = ['fadePins', 'moments', 'counting', 'leadSeconds', 'shorts'];
    for (const [version, without] of [
      [1, first],
      [2, ['shorts']],
      [3, []],
    ] as const) {
      const read = readMovement({ ...older(movement, without), version });
      expect(read.ok && read.value, `version ${version}`).toEqual(movement);
    }
    const turned = readMovement({ ...movement, minRounds: 5, maxRounds: 3 });
    expect(turned.ok ? [] : turned.problem.map(({ code }) => code)).toEqual(['bounds-turned']);
  });

  it.each([[null], [{}], [{ ...movement, format: 'other' }], [{ ...movement, version: 6 }], ['text']])(
    'refuses %j',
    (raw) => {
      expect(readMovement(raw).ok).toBe(false);
    },
  );

  it('knows each field of the content', () => {
    expect([...CONTENT_FIELDS].sort()).toEqual(Object.keys(makeContent(newId, 'x')).sort());
    expect(contentOf(movement)).not.toHaveProperty('tags');
  });
});

describe('a class’s copy beside the library', () => {
  it('differs in fields, not in the ids of its lines', () => {
    const entry = makeContent(newId, 'Bell buoy', { preferredRounds: 4, seated: 'The same.' });
    const copy = copyContent(newId, entry);
    expect(itemAt(copy.pattern, 0).id).not.toBe(itemAt(entry.pattern, 0).id);
    expect(differingFields(copy, entry)).toEqual([]);
    expect(differingFields({ ...copy, preferredRounds: 6, seated: '' }, entry)).toEqual(['preferredRounds', 'seated']);
  });
});

describe('narrowing the library', () => {
  const heron = summaryOf(
    makeLibraryMovement(
      makeContent(newId, 'Heron', {
        stanceStart: 'feet-together',
        sides: 'one-then-other',
        cautions: ['balance'],
        levels: [
          { name: 'Small', note: '', lines: [] },
          { name: 'Full', note: '', lines: [] },
        ],
      }),
      { roles: ['main'], tags: ['balance'] },
    ),
  );

  it.each([
    [{}, true],
    [{ role: 'main' }, true],
    [{ role: 'closing' }, false],
    [{ stance: 'feet-together' }, true],
    [{ stance: 'seated' }, true], // it may end in any stance
    [{ sides: 'alternating' }, false],
    [{ caution: 'balance' }, true],
    [{ noCaution: true }, false],
    [{ levels: 2 }, true],
    [{ levels: 3 }, false],
    [{ posture: 'seated' }, false],
    [{ posture: 'standing' }, true],
    [{ tag: 'balance' }, true],
    [{ tag: 'evening' }, false],
  ] as const)('%j', (filter, expected) => {
    expect(passes(heron, filter)).toBe(expected);
  });
});

describe('what a list tells of a movement', () => {
  const of = (part: Parameters<typeof makeContent>[2]) =>
    summaryOf(makeLibraryMovement(makeContent(newId, 'Bell buoy', part)));

  it('is done seated where it begins so, or says how', () => {
    expect(of({ stanceStart: 'seated' }).seated).toBe(true);
    expect(of({ seated: 'The same.' }).seated).toBe(true);
    expect(of({ seated: '  ', stanceEnd: 'seated' }).seated).toBe(false);
    expect(of({ levels: [] }).levels).toBe(1);
  });
});
