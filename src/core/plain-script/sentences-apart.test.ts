import { describe, expect, it } from 'vitest';
import { readScript } from './read';

const read = (text: string) => readScript(() => 'id', text);

const TOLD =
  'Tuesday on the quay we start with shaking for two minutes then rowing eight times each side and then the tide comes in six times and tell them not to lock the knees and then we stand still for three minutes';

describe('a text with a line for each sentence', () => {
  it('is what a long dictated line was understood as', () => {
    expect(read(TOLD).sentencesApart?.split('\n')).toEqual([
      'Tuesday on the quay.',
      'We start with shaking for two minutes.',
      'Rowing eight times each side.',
      'The tide comes in six times.',
      'Tell them not to lock the knees.',
      'We stand still for three minutes.',
    ]);
  });

  it('gives the same steps, and no longer line to break up', () => {
    const apart = read(TOLD).sentencesApart ?? '';
    const names = (text: string) => read(text).plan.sections.flatMap(({ steps }) => steps.map(({ name }) => name));
    expect(names(apart)).toEqual(names(TOLD));
    expect(read(apart).sentencesApart).toBeNull();
  });

  it('keeps the lines around a paragraph, and takes one that the page broke as a whole', () => {
    const text = [
      'Harbour morning',
      '',
      'We begin standing for two minutes, with the feet under the',
      'hips and the arms at the sides, and then we shake for one minute. After',
      'that comes rowing eight times on each side, slowly. We finish',
      'with a rest for a minute.',
      '',
      'Waves x6',
    ];
    const lines = read(text.join('\n')).sentencesApart?.split('\n') ?? [];
    expect(lines.slice(0, 2)).toEqual(['Harbour morning', '']);
    expect(lines.slice(-3)).toEqual(['We finish with a rest for a minute.', '', 'Waves x6']);
    expect(lines).toHaveLength(7);
  });

  it('is not offered for notes, for the tidy form, or where nothing is told', () => {
    expect(read('Rowing x8\nSoft knees. Slow hands.\nWaves x6').sentencesApart).toBeNull();
    expect(read('# Evening\ntarget: 10:00\n\n## Main set\n\n### movement: Waves').sentencesApart).toBeNull();
    expect(read('').sentencesApart).toBeNull();
  });
});
