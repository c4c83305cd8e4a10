import { describe, expect, it } from 'vitest';
import { readScript } from '../read';
import { reading } from '../model/reading';
import type { LineKind, ReadLine } from '../model/model';
import { otherKinds, correctedTo } from './corrected';

const putTo = (kind: LineKind, line: string): Pick<ReadLine, 'words' | 'counts' | 'kind'> => {
  let count = 0;
  const script = ['Class', '', 'Main set', '1. Rowing x5', line, 'Closing', 'Thanks all.'];
  const { lines } = readScript(() => `id${count++}`, script.join('\n'), new Map([[5, kind]]));
  const { words, counts, kind: read } = lines[4] as ReadLine;
  return { kind: read, words, counts };
};

describe('a line that a person says what it is', () => {
  it('stays as it was read, where it was read so', () => {
    const found = reading('movement', 'Swings', { rounds: 3 }, true);
    expect(correctedTo('movement', '- Swings x3', found)).toEqual({ ...found, unsure: false });
  });

  it('gets the name and the amounts of a movement, though it was taken for words', () => {
    expect(putTo('movement', 'Let the arms hang four times each side')).toEqual({
      kind: 'movement',
      words: 'Let the arms hang',
      counts: { rounds: 4, sides: 'alternating' },
    });
    expect(putTo('movement', '3) Let the jaw hang for 40 seconds').counts).toMatchObject({ seconds: [40, 30, 60] });
  });

  it('counts the one number of a movement or a setting that tells no amount by itself', () => {
    expect(putTo('movement', '6 of those, slow').counts).toEqual({ rounds: 6 });
    expect(putTo('setting', 'six of those, slow')).toMatchObject({ words: '', counts: { rounds: 6 } });
    expect(putTo('movement', '6 of those and the rest of 7').counts).toEqual({});
    expect(putTo('movement', '600 of those, slow').counts).toEqual({});
  });

  it('keeps only the time of a silence, a part and a talk, and takes it out of the name of what has one', () => {
    expect(putTo('silence', 'Stand like a post 40 s each side')).toMatchObject({
      words: 'Stand like a post',
      counts: { seconds: expect.anything() as unknown },
    });
    expect(putTo('silence', 'Stand like a post x4')).toEqual({ kind: 'silence', words: 'Stand like a post', counts: {} }); // prettier-ignore
    expect(putTo('section', 'Warm up bits 8 min')).toMatchObject({ words: 'Warm up bits', counts: { seconds: [480, 360, 720] } }); // prettier-ignore
    expect(putTo('talk', 'Because it rains, 2 min')).toMatchObject({ words: 'Because it rains, 2 min', counts: { seconds: expect.anything() as unknown } }); // prettier-ignore
    // A talk by itself, with its time apart.
    expect(putTo('talk', 'Why we do it, 2 min')).toMatchObject({ words: 'Why we do it', counts: { seconds: expect.anything() as unknown } }); // prettier-ignore
  });

  it('keeps the length of a class in its title, and the pause behind what is said', () => {
    expect(putTo('title', 'Harbour evening, 25 min')).toMatchObject({ words: 'Harbour evening', counts: { seconds: [1500, 1125, 2250] } }); // prettier-ignore
    const still = reading('silence', 'Feel the feet', { seconds: [20, 15, 30] });
    expect(correctedTo('said', 'Feel the feet. (20 s)', still)).toEqual(
      reading('said', 'Feel the feet.', { seconds: [20, 20, 20] }),
    );
    expect(putTo('said', 'Rowing x4')).toEqual({ kind: 'said', words: 'Rowing x4', counts: {} });
  });

  it('is a pause of its time', () => {
    expect(putTo('pause', 'let it settle 12 s')).toMatchObject({ words: '', counts: { seconds: expect.anything() as unknown } }); // prettier-ignore
  });

  it('is done on a breath, without the word for it', () => {
    expect(putTo('inhale', 'In as you lift')).toMatchObject({ kind: 'inhale', words: 'as you lift' });
    expect(putTo('exhale', 'breathing out: sink')).toMatchObject({ kind: 'exhale', words: 'sink' });
    expect(putTo('inhale', 'Lift the lamp')).toMatchObject({ words: 'Lift the lamp' });
  });

  it('is said as it is written, without its number, bullet or mark', () => {
    for (const line of [
      '## Swings x3',
      '> Swings x3',
      '12. Swings x3',
      '3) Swings x3',
      '• Swings x3',
      '  * Swings x3 ',
    ])
      expect(correctedTo('said', line, reading('movement', 'Swings', { rounds: 3 })).words).toBe('Swings x3');
  });
});

describe('what else a guess may be', () => {
  const others = (kind: LineKind, text: string): readonly LineKind[] => otherKinds({ kind, text, counts: {} });

  it('is two kinds, none of them its own, each once', () => {
    for (const kind of ['said', 'movement', 'section', 'silence', 'talk', 'setting'] as const)
      for (const text of ['Rowing', 'Rowing x4', 'Rowing 40 s', 'In with the lift', 'A line of many words that says a good deal']) {
        const found = others(kind, text);
        expect([text, kind, found.length]).toEqual([text, kind, 2]);
        expect(found).not.toContain(kind);
        expect(new Set(found).size).toBe(2);
      } // prettier-ignore
  });

  it('is a movement where it counts, a silence where it lasts, a breath where it begins like one', () => {
    expect(others('said', 'Rowing some more, 4 times')[0]).toBe('movement');
    expect(others('movement', 'Listen to the tide, 40 s')[0]).toBe('silence');
    expect(others('said', 'In with the lift of the wrists')[0]).toBe('inhale');
    expect(others('said', '- out, and down with them')[0]).toBe('exhale');
    expect(others('movement', 'Feel how the floor holds up both of the feet')[0]).toBe('said');
  });

  it('may be said where it was skipped', () => {
    expect(others('nothing', '**Equipment:** none')[0]).toBe('said');
  });
});
