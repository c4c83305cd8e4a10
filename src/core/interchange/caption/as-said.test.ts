import { describe, expect, it } from 'vitest';
import { readCaptions } from '..';
import { asSaid } from './as-said';

const read = (...texts: string[]) =>
  asSaid({ captions: texts.map((text, at) => ({ startSeconds: 2 * at, endSeconds: 2 * at + 2, text })), oddities: [] });
const texts = (...given: string[]) => read(...given).captions.map(({ text }) => text);
const codes = (...given: string[]) => read(...given).oddities.map(({ code }) => code);

describe('what is said in captions', () => {
  const ROLLING = ['stand tall', 'stand tall\nand soften', 'and soften', 'and soften\nthe knees', 'the knees\nnow in', 'now in\nand out', 'and out\nonce more']; // prettier-ignore

  it('is told once where lines stay on while the next ones come', () => {
    expect(texts(...ROLLING)).toEqual(['stand tall', 'and soften', 'the knees', 'now in', 'and out', 'once more']);
    expect(codes(...ROLLING)).toEqual(['lines-that-stay']);
  });

  it('stays where it is said again', () => {
    const again = ['In.', 'In.', 'Out.', 'Out.', 'In.', 'In.', 'Out.'];
    expect(texts(...again)).toEqual(again);
    const once = [...ROLLING.slice(0, 2), 'a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j'];
    expect(texts(...once)).toEqual(once);
  });

  it('has no sounds and no names in it', () => {
    expect(texts('[Music]', 'Stand tall. [bell rings]', '(wind)', '♪ ♪', 'lift (if you like) up')).toEqual([
      'Stand tall.',
      'lift (if you like) up',
    ]);
    expect(texts('>> Stand tall.', 'TEACHER: And in.', 'TEACHER: And out.', '- Good.')).toEqual([
      'Stand tall.',
      'And in.',
      'And out.',
      'Good.',
    ]);
    expect(texts('Mira: In.', 'Mira: Out.', 'Mira: Rest.')).toEqual(['In.', 'Out.', 'Rest.']);
    expect(texts('Lift the arms\n(if you like)')).toEqual(['Lift the arms\n(if you like)']);
    expect(codes('[Music]', 'In.')).toEqual(['sounds-in-captions']);
  });

  it('keeps labels that lead a breath, and one that stands once', () => {
    const lines = ['Inhale: palms up', 'Exhale: palms down', 'Inhale: palms up', 'Inhale: wide', 'Note: soft knees'];
    expect(texts(...lines)).toEqual(lines);
  });

  it('is all there was where nothing but sounds was', () => {
    expect(texts('[Music]', '[Music]')).toEqual(['[Music]', '[Music]']);
  });

  it('is read so from a file with the times of words in it', () => {
    const stamp = (second: number): string => `00:00:${String(second).padStart(2, '0')}.000`;
    const words = ['stand tall', 'and soften', 'the knees', 'now breathe in', 'and out', 'once more', 'and rest'];
    const blocks = words.flatMap((line, at) => {
      const before = words[at - 1] ?? ' ';
      const [first = '', ...rest] = line.split(' ');
      return [
        `${stamp(3 * at)} --> ${stamp(3 * at + 2)}\n${before}\n${first}<${stamp(3 * at + 1)}><c> ${rest.join(' ')}</c>`,
        `${stamp(3 * at + 2)} --> ${stamp(3 * at + 3)}\n${line}\n `,
      ];
    });
    const file = readCaptions(`WEBVTT\nKind: captions\n\n${blocks.join('\n\n')}\n`);
    expect(file.ok && file.value.captions.map(({ text }) => text)).toEqual(words);
  });
});
