import { describe, expect, it } from 'vitest';
import type { Reading } from '@/core/reading';
import { wordsIn } from './words-in';

const cue = (text: string, actualStart: number | null, actualEnd: number | null) =>
  ({ text, actualStart, actualEnd }) as Reading['cues'][number];
const reading = {
  cues: [cue('Breathe in.', 10, 12), cue('Not said.', null, null), cue('Breathe out.', 15, 17)],
  adLibs: [
    { startSeconds: 12.5, endSeconds: 14, text: 'Only the kettle.' },
    { startSeconds: 14.2, endSeconds: 14.6, text: null },
    { startSeconds: 40, endSeconds: 41, text: 'Far away.' },
  ],
};

describe('the words in a stretch of a take', () => {
  it('are its lines and ad-libs in order, as far as their middle lies in it', () => {
    expect(wordsIn(reading, { startSeconds: 9, endSeconds: 20 })).toBe('Breathe in. Only the kettle. Breathe out.');
    expect(wordsIn(reading, { startSeconds: 11, endSeconds: 16 })).toBe('Breathe in. Only the kettle.');
    expect(wordsIn(reading, { startSeconds: 11.1, endSeconds: 13.25 })).toBe('');
  });
});
