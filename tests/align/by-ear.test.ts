import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { plannedId, practiceSchedule } from '@/core/practice';
import { expandPlan } from '@/core/timeline';
import { demoPlan } from '../support/demo-plan';
import { ShippedHearing } from '../support/shipped-hearing';
import { makeTake } from '../support/takes/make-take';

/*
 * A class of five minutes followed while it is given, with what ships: the voice-activity model and the plain voice.
 * Said by voices of Debian's packages that the following does not use. All of it is synthetic. The bars here hold a
 * floor under what was measured; the whole table is in docs/perform.md.
 */

const plan = demoPlan('net-menders-break');

let hearing: ShippedHearing;
beforeAll(async () => {
  hearing = await ShippedHearing.load();
}, 120_000);
afterAll(() => hearing.close());

describe('a class followed by ear', () => {
  it.each([
    ['rope', 'clean', 'steady', 0.75],
    ['gull', 'music', 'wandering', 0.75],
  ] as const)(
    'said by %s, %s, %s, shows the line that is said next',
    async (voice, background, tempo, bar) => {
      const take = makeTake({ plan, voice, tempo, background, seed: 31 });
      const { lines, right, byClock, unmoved, adLibs } = await hearing.follow(plan, take);
      expect(lines).toBeGreaterThan(25);
      expect(right / lines).toBeGreaterThanOrEqual(bar);
      expect(right).toBeGreaterThan(2 * byClock);
      expect(unmoved / adLibs).toBeGreaterThanOrEqual(0.6);
    },
    300_000,
  );
});

describe('a class that is given otherwise than planned', () => {
  it('says one round again and leaves a step out, and the rest of it moves by as much', () => {
    const longer = demoPlan('before-the-first-ferry');
    const planned = expandPlan(longer);
    const saying = practiceSchedule({ plan: longer, tempo: 'steady', seed: 1, leaps: true });
    let next = saying.next();
    while (!next.done) next = saying.next(0.5);
    const { timeline } = next.value;
    const again = timeline.cues.filter(({ id }) => plannedId(id) !== id);
    expect(new Set(again.map(({ step, round }) => `${step} ${round}`)).size).toBe(1);
    expect(again.length).toBeGreaterThan(0);
    const given = new Set(timeline.cues.map(({ id }) => id));
    const out = planned.cues.filter(({ id }) => !given.has(id));
    expect(new Set(out.map(({ step }) => step)).size).toBe(1);
    timeline.cues.forEach(({ startSeconds }, at) => {
      expect(startSeconds).toBeGreaterThanOrEqual(timeline.cues[at - 1]?.startSeconds ?? 0);
    });
  });
});
