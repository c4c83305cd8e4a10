import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { makePhase } from '@/core/movement';
import { emptyPlan, makeMovement, makeSection, makeTalk } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import type { Term } from '@/core/words';
import { alignTake } from '.';
import { readByWords } from './captions/read-by-words';
import { similarity } from './captions/words';

let count = 0;
const newId = (): string => `a${++count}`;
const timeline = expandPlan({
  ...emptyPlan(newId, 'Sample', 300, 9),
  sections: [
    makeSection(newId, 'arrival', [
      makeTalk(newId, 'Talk', [
        ['Let the shoulders hang from the neck like wet rope.', 3],
        ['Feet a hand’s width apart, and the knees easy.', 3],
        ['Stay within about 70 % of what you could do.', 3],
      ]),
    ]),
    makeSection(newId, 'main', [
      makeMovement(newId, 'Lamp', {
        preferredRounds: 5,
        rounds: 5,
        pattern: [
          makePhase(newId, { kind: 'inhale', full: 'Breathe in, the lamp goes up.' }),
          makePhase(newId, { kind: 'exhale', full: 'Breathe out, set it down.' }),
        ],
      }),
    ]),
  ],
});
const said = (skip: readonly number[] = [], at: (seconds: number) => number = (seconds) => seconds) =>
  timeline.cues
    .filter((_, index) => !skip.includes(index))
    .map((cue) => ({ startSeconds: at(cue.startSeconds), endSeconds: at(cue.endSeconds), text: cue.text }));
const read = (captions: ReturnType<typeof said> | null, speech: ReturnType<typeof said> | null = null) =>
  alignTake(timeline, { captions, speech, lengthSeconds: null });
const ids = (skip: readonly number[] = []): string[] =>
  timeline.cues.filter((_, index) => !skip.includes(index)).map((cue) => cue.id);

describe('terms that a machine mishears', () => {
  const lines = (...texts: string[]) =>
    expandPlan({
      ...emptyPlan(newId, 'Sample', 300, 9),
      sections: [makeSection(newId, 'arrival', [makeTalk(newId, 'Talk', texts)])],
    });
  const hearing = (plan: ReturnType<typeof lines>, captions: readonly string[], terms?: readonly Term[]) =>
    alignTake(
      plan,
      {
        captions: captions.map((text, at) => ({
          startSeconds: itemAt(plan.cues, at).startSeconds,
          endSeconds: itemAt(plan.cues, at).endSeconds,
          text,
        })),
        speech: null,
        lengthSeconds: null,
      },
      { terms },
    ).found.map(({ cueId, confidence }) => [plan.cues.findIndex(({ id }) => id === cueId), confidence]);

  it('are taken for the term, whatever its spelling', () => {
    const plan = lines('Dan tian, the lower belly.', 'Bai hui.', 'Let the kua fold.');
    const right = hearing(plan, ['dantian the lower belly', 'baihui', 'let the kwa fold']);
    expect(hearing(plan, ['don tea in the lower belly', 'buy hoy', 'let the quad fold'])).toEqual(right);
    expect(right.map(([cue]) => cue)).toEqual([0, 1, 2]);
    expect(hearing(plan, ['don tea in the lower belly', 'buy hoy', 'let the quad fold'], [])).not.toEqual(right);
  });

  it('are left as they are where the class says those words itself', () => {
    const plan = lines('Baihui, at the crown.', 'Go by way of the wall.');
    expect(hearing(plan, ['baihui at the crown', 'go by way of the wall']).map(([cue]) => cue)).toEqual([0, 1]);
  });

  it('may be the studio’s own', () => {
    const plan = lines('Luhan.', 'And stand.');
    const own: Term[] = [{ term: 'own-1', variants: ['luhan'], misheard: ['blue hands'], known: false }];
    expect(hearing(plan, ['blue hands', 'and stand'], own)).toEqual(hearing(plan, ['luhan', 'and stand'], own));
  });
});

describe('aligning captions', () => {
  it('finds every cue of a take that keeps to the plan', () => {
    const { found, adLibs } = read(said());
    expect(found.map((cue) => cue.cueId)).toEqual(ids());
    found.forEach((cue, index) => expect(cue.startSeconds).toBeCloseTo(itemAt(timeline.cues, index).startSeconds, 2));
    expect(adLibs).toEqual([]);
  });

  it('follows a take that begins late and runs slow', () => {
    const late = (seconds: number): number => 95 + seconds * 1.15;
    const { found } = read(said([], late));
    expect(found.length).toBe(timeline.cues.length);
    found.forEach((cue, index) =>
      expect(Math.abs(cue.startSeconds - late(itemAt(timeline.cues, index).startSeconds))).toBeLessThan(0.3),
    );
  });

  it('takes repeated short cues from the right breath when some are skipped', () => {
    const skip = [7, 10];
    const { found } = read(said(skip));
    expect(found.map((cue) => cue.cueId)).toEqual(ids(skip));
    for (const cue of found)
      expect(cue.startSeconds).toBeCloseTo(timeline.cues.find((one) => one.id === cue.cueId)?.startSeconds ?? 0, 1);
  });

  it('has a cue begin and end where it did though its first and last words were misheard', () => {
    const heard = said().map((one, at) => {
      const words = one.text.split(' ');
      const misheard = words.map((word, place) => (place < 2 || place >= words.length - 2 ? 'zzxq' : word));
      return at < 3 ? { ...one, text: misheard.join(' ') } : one;
    });
    // By the words alone: seven, six and five of them between, each about a third of a second long.
    const { found } = readByWords(timeline.cues, heard, []).alignment;
    for (const at of [0, 1, 2]) {
      const { cueId, startSeconds, endSeconds } = itemAt(found, at);
      const cue = itemAt(timeline.cues, at);
      expect(cueId).toBe(cue.id);
      expect(Math.abs(startSeconds - cue.startSeconds)).toBeLessThan(0.45);
      expect(Math.abs(endSeconds - cue.endSeconds)).toBeLessThan(0.45);
    }
  });

  it('bears wrong words, merged and split captions', () => {
    const [a, b, c] = firstItems(said(), 3);
    const rest = said().slice(3);
    const merged = {
      startSeconds: a.startSeconds,
      endSeconds: b.endSeconds,
      text: 'let the solders hang from the neck like wet robe feet a hands with apart and the niece easy',
    };
    const middle = (c.startSeconds + c.endSeconds) / 2;
    const split = [
      { startSeconds: c.startSeconds, endSeconds: middle, text: 'stay within about seventy' },
      { startSeconds: middle, endSeconds: c.endSeconds, text: 'per cent of what you could do' },
    ];
    const { found, adLibs } = read([merged, ...split, ...rest]);
    expect(found.map((cue) => cue.cueId)).toEqual(ids());
    expect(adLibs).toEqual([]);
  });

  it('tells ad-libs from cues, with their words', () => {
    const captions = said();
    const gap = itemAt(timeline.cues, 2).endSeconds + 0.5;
    captions.splice(3, 0, { startSeconds: gap, endSeconds: gap + 1.2, text: 'There goes the milk boat.' });
    const { found, adLibs } = read(captions);
    expect(found.length).toBe(timeline.cues.length);
    expect(adLibs.map((adLib) => adLib.text)).toEqual(['There goes the milk boat.']);
  });

  it('finds nothing in a take of another class', () => {
    const { found, adLibs } = read([
      { startSeconds: 5, endSeconds: 9, text: 'tonight we shall mend a bicycle tyre instead' },
    ]);
    expect(found).toEqual([]);
    expect(adLibs.length).toBe(1);
  });
});

describe('aligning sound', () => {
  it('finds cues by length and order under a slower tempo', () => {
    const slow = (seconds: number): number => 2 + seconds * 1.08;
    const { found, adLibs } = read(null, said([], slow));
    expect(found.map((cue) => cue.cueId)).toEqual(ids());
    expect(adLibs).toEqual([]);
  });

  it('notices a skipped line and an added ad-lib', () => {
    const speech = said([1]);
    const gap = itemAt(timeline.cues, 2).endSeconds + 1.4;
    speech.splice(2, 0, { startSeconds: gap, endSeconds: gap + 1, text: '' });
    const { found, adLibs } = read(null, speech);
    expect(found.map((cue) => cue.cueId)).not.toContain(itemAt(timeline.cues, 1).id);
    expect(adLibs.map((adLib) => [adLib.startSeconds, adLib.text])).toEqual([[gap, null]]);
  });

  it('joins a line that was said with a pause for breath', () => {
    const speech = said();
    const [first] = firstItems(speech, 1);
    const middle = (first.startSeconds + first.endSeconds) / 2;
    speech.splice(0, 1, { ...first, endSeconds: middle - 0.2 }, { ...first, startSeconds: middle + 0.2 });
    expect(read(null, speech).found.map((cue) => cue.cueId)).toEqual(ids());
  });

  it('moves caption onsets to where speech begins', () => {
    const speech = said();
    const captions = said([], (seconds) => seconds + 0.35);
    const { found } = read(captions, speech);
    found.forEach((cue, index) => expect(cue.startSeconds).toBeCloseTo(itemAt(speech, index).startSeconds, 6));
  });

  it('tells how much slower than planned the class was, whenever the recording began', () => {
    for (const [slower, later] of [
      [1.12, 0],
      [1.12, 25],
      [0.9, 40],
    ] as const) {
      const taken = said([], (seconds) => later + slower * seconds);
      const { way } = read(taken, taken);
      expect(way?.slowness).toBeCloseTo(slower, 2);
    }
  });

  it('has nothing to say of nothing', () => {
    expect(alignTake(timeline, { captions: null, speech: [], lengthSeconds: 10 })).toMatchObject({
      found: [],
      adLibs: [],
    });
    expect(alignTake({ ...timeline, cues: [] }, { captions: null, speech: said(), lengthSeconds: 10 }).found).toEqual(
      [],
    );
  });
});

it('similarity of words falls with each wrong letter', () => {
  expect(similarity('ferry', 'ferry')).toBe(1);
  expect(similarity('ferry', 'fairy')).toBeCloseTo(0.6);
  expect(similarity('in', 'lighthouse')).toBe(0);
});

describe('captions that hardly speak of the class, beside sound', () => {
  const first = itemAt(timeline.cues, 0);
  const caption = { startSeconds: first.startSeconds + 20, endSeconds: first.endSeconds + 20, text: first.text };
  const found = (speechStart: number) =>
    itemAt(read([caption], [{ ...caption, startSeconds: speechStart, endSeconds: caption.endSeconds + 1 }]).found, 0);

  it('place a line at the speech that begins near its caption', () => {
    const near = found(caption.startSeconds + 0.4);
    expect(near.startSeconds).toBeCloseTo(caption.startSeconds + 0.4, 6);
    expect(near.endSeconds).toBeGreaterThan(near.startSeconds);
  });

  it('leave it at its caption where no speech begins near', () => {
    expect(found(caption.startSeconds + 0.9).startSeconds).toBeCloseTo(caption.startSeconds, 1);
    expect(found(caption.startSeconds - 0.9).startSeconds).toBeCloseTo(caption.startSeconds, 1);
  });
});
