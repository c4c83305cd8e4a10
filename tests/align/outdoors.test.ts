import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Background } from '@/core/practice';
import { demoPlan } from '../support/demo-plan';
import { ShippedHearing } from '../support/shipped-hearing';
import { makeTake } from '../support/takes/make-take';
import type { TakeVoice } from '../support/takes/voices';

/*
 * Takes of five minutes over sound of outdoors, read by sound alone with what ships: the voice-activity model and the
 * plain voice. Said by voices of Debian's packages that the reading does not use; half of the voices were not tuned
 * to. All of it is synthetic; see human-speech.test.ts for voices
 * of people. The bars here hold a floor under what was measured; the whole
 * table is in docs/alignment.md.
 */

const plan = demoPlan('net-menders-break');

let hearing: ShippedHearing;
beforeAll(async () => {
  hearing = await ShippedHearing.load();
}, 120_000);
afterAll(() => hearing.close());

describe('a take outdoors, read by sound alone', () => {
  it.each([
    ['birds', 'rope', 'steady', 0.9],
    ['surf', 'stove', 'wandering', 0.8],
  ] as const)(
    'over %s, said by %s, %s',
    async (background: Background, voice: TakeVoice, tempo, bar) => {
      const take = makeTake({ plan, voice, tempo, background, seed: 77 });
      const reading = await hearing.read(take.samples, take.timeline);
      const at = new Map(reading.cues.map((cue) => [cue.id, cue.actualStart]));
      const errors = take.said
        .filter(({ cueId }) => cueId !== null)
        .map(({ cueId, startSeconds }) => Math.abs((at.get(cueId ?? '') ?? Infinity) - startSeconds));
      const near = errors.filter((error) => error <= 0.3).length / errors.length;
      expect(near).toBeGreaterThanOrEqual(bar);
      // Each line says what it was found by: its sound, which is nearer to it than to other lines.
      const nearer = reading.cues.flatMap(({ evidence }) => evidence?.nearer ?? []);
      expect(nearer.length).toBeGreaterThan(0.8 * reading.totals.said);
      expect(nearer.filter((by) => by > 1).length / nearer.length).toBeGreaterThan(0.65);
      for (const { evidence } of reading.cues) if (evidence) expect(evidence.by).toBe('sound');
      const planned = take.said
        .filter(({ cueId }) => cueId !== null)
        .map(({ cueId, startSeconds }) => {
          const cue = take.timeline.cues.find(({ id }) => id === cueId);
          return Math.abs((cue?.startSeconds ?? Infinity) - startSeconds);
        });
      expect(planned.filter((error) => error <= 0.3).length / errors.length).toBeLessThan(0.2);
    },
    120_000,
  );
});
