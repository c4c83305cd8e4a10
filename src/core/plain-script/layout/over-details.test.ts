import { describe, expect, it } from 'vitest';
import { overDetails } from './over-details';

const namesIn = (...lines: string[]): string[] => {
  const { names } = overDetails(['Evening class', '', ...lines]);
  return lines.filter((_, at) => names[at + 2]);
};

describe('a name over how it is done', () => {
  it('is a step where what stands below tells its amount or its breath', () => {
    expect(namesIn('Tide steps', '- inhale: arms rise', '- exhale: arms sink')).toEqual(['Tide steps']);
    expect(namesIn('Tide steps', '   6 times', '   soft knees')).toEqual(['Tide steps']);
    expect(namesIn('- Tide steps', '  - x6')).toEqual(['- Tide steps']);
    expect(namesIn('Tide steps', 'Reps: 6', 'Cue: soft knees')).toEqual(['Tide steps']);
    expect(namesIn('### Tide steps', '', '6 times each side')).toEqual(['### Tide steps']);
  });

  it('is a part of the class where steps stand below it, or numbers', () => {
    expect(namesIn('Arms', '- Rowing x6', '- Swinging x8')).toEqual([]);
    expect(namesIn('Arms', '1. 6 times', '2. 8 times')).toEqual([]);
    expect(namesIn('Warm-up', '- 5 min', '- shake')).toEqual([]);
  });

  it('is one also without an amount where others of its look are', () => {
    const heron = ['Heron', '- stand tall', '- lift the knee'];
    expect(namesIn(...heron)).toEqual([]);
    expect(namesIn('Tide steps', '- 6 times', '', 'Rowing', '- 8 times', '', ...heron)).toEqual(['Tide steps', 'Rowing', 'Heron']); // prettier-ignore
  });

  it('is one with its own amount below a heading, where what stands below only tells how', () => {
    expect(namesIn('### Gentle shaking (1 minute)', '- Soften the knees.', '- Let it all drop.')).toEqual(['### Gentle shaking (1 minute)']); // prettier-ignore
    expect(namesIn('### Arms (4 minutes)', '- Rowing x6', '- Swinging x8')).toEqual([]);
    expect(namesIn('### Arms (4 minutes)', 'Slow and low.', '#### Rowing x6')).toEqual([]);
    expect(namesIn('## Warm-up (4 minutes)', '- Soften the knees.', '- Let it all drop.')).toEqual([]);
  });

  it('ends before the next name with an amount below it', () => {
    expect(namesIn('Tide steps', '6 times', 'Rowing', '8 times')).toEqual(['Tide steps']);
    expect(namesIn('Tide steps', '6 times', '', 'Rowing', '8 times')).toEqual(['Tide steps', 'Rowing']);
  });

  it('tells how long nobody moves', () => {
    const { lasting } = overDetails([
      'Evening class',
      '',
      'Stand in silence',
      '- 2 minutes',
      '',
      'Rowing',
      '- 2 minutes',
    ]);
    expect(lasting.map((one) => one ?? '-').join(' ')).toBe('- - 120 - - - -');
  });
});
