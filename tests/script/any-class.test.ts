import { describe, expect, it } from 'vitest';
import { planAfter, stepsInOrder, type ClassPlan, type MovementStep } from '@/core/plan';
import { fitWords } from '@/core/script';
import { expandPlan, type Cue, type Timeline } from '@/core/timeline';
import { isCounted } from '@/core/movement';
import { COUNTINGS, legOf, SIDE_STYLES, sideWord, type Counting } from '@/core/words';
import { cardinal } from '@/core/speech';
import { Random } from '@/core/units';
import { randomPlan } from '../support/random-plan';

/* Over seeded random classes: what is said of counts and sides agrees with the timeline, in every style. */

const SEEDS = Array.from({ length: 150 }, (_, index) => 7_000 + index);

function classOf(seed: number, wordsOver = true): { readonly plan: ClassPlan; readonly timeline: Timeline } {
  const chance = new Random(seed);
  const base = randomPlan(chance, { steps: chance.whole(2, 10), breathTenths: 5, choicesAtMost: 5 });
  const style = {
    ...base.style,
    counting: chance.pick(COUNTINGS),
    sides: chance.pick(SIDE_STYLES),
    leftMark: 'window side',
    rightMark: 'door side',
  };
  const words = (step: MovementStep): MovementStep => ({
    ...step,
    during: wordsOver ? step.during : [],
    counting: chance.yes(0.3) ? chance.pick(COUNTINGS) : null,
    moments: { ...step.moments, roundsLeft: '{rounds left} more.' },
    pattern: step.pattern.map((phase, at) =>
      at === 0 ? { ...phase, full: 'To the {side}.', short: 'The {side}.' } : phase,
    ),
  });
  const sections = base.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => (step.kind === 'movement' ? words(step) : step)),
  }));
  const plan = { ...base, style, sections };
  return { plan, timeline: expandPlan(plan) };
}

/** The first line of each round and side of a step, as said. */
function firstLines(timeline: Timeline, stepId: string): Cue[] {
  const found = new Map<string, Cue>();
  for (const cue of timeline.cues) {
    const first = cue.step === stepId && cue.round > 0 && cue.source.part === 'phase' && cue.id.endsWith('.0');
    if (first) found.set(`${cue.side} ${cue.round}`, cue);
  }
  return [...found.values()];
}

/** What a style says with a round, reckoned here by itself. */
function expected(counting: Counting, round: number, rounds: number): string {
  const capital = (value: number): string => {
    const word = cardinal(value);
    return word.slice(0, 1).toUpperCase() + word.slice(1);
  };
  if (counting === 'none') return '';
  if (rounds === 1) return counting === 'up' || counting === 'nines' ? 'One.' : '';
  if (round === rounds) return 'Last one.';
  if (counting === 'up') return `${capital(round)}.`;
  if (counting === 'nines') return `${capital(round % 9 === 0 ? 9 : round % 9)}.`;
  const left = `${capital(rounds + 1 - round)} more.`;
  if (counting === 'down') return left;
  return round === rounds - 1 && rounds > 2 ? left : '';
}

describe('over random classes', () => {
  it('the count that is said is the round that is performed, and the last is announced once a side', () => {
    for (const seed of SEEDS) {
      // Where words over the rounds fill them, a count may have to give way.
      const { plan, timeline } = classOf(seed, false);
      for (const { step } of stepsInOrder(plan)) {
        if (step.kind !== 'movement' || step.skipped || !isCounted(step.pacedBy)) continue;
        const rounds = timeline.steps.find((timed) => timed.step === step.id)?.rounds ?? 0;
        const counting = step.counting ?? plan.style.counting;
        const told = timeline.cues.filter((cue) => cue.step === step.id && cue.announced.includes('Last one.'));
        // A side after the other has a last round of its own; where rounds go on at one's own pace there is none.
        const stretches = new Map(
          Object.entries({ 'one-then-other': 2, 'both-directions': 2, 'both-directions-each-side': 4 }),
        );
        const goesOn = step.pacedBy === 'breath-then-own-pace';
        const none = counting === 'none' || rounds === 1 || goesOn;
        expect(told.length, `seed ${seed}`).toBe(none ? 0 : (stretches.get(step.sides) ?? 1));
        const begun = new Set<number>();
        for (const cue of firstLines(timeline, step.id)) {
          const second = step.sides === 'alternating' && begun.has(cue.round);
          begun.add(cue.round);
          const untold = second || (goesOn && counting !== 'up' && counting !== 'nines');
          const said = goesOn ? expected(counting, cue.round, rounds + 1) : expected(counting, cue.round, rounds);
          expect(cue.announced, `seed ${seed}, ${cue.id}`).toBe(untold ? '' : said);
        }
      }
    }
  });

  it('the side that is said is the side that is performed, in the words of the style', () => {
    for (const seed of SEEDS) {
      const { plan, timeline } = classOf(seed);
      for (const { step } of stepsInOrder(plan)) {
        if (step.kind !== 'movement' || step.skipped || !isCounted(step.pacedBy)) continue;
        for (const cue of firstLines(timeline, step.id)) {
          const phase = timeline.phases.find(
            (one) => Math.abs(one.startSeconds - cue.motionSeconds) < 1e-6 && one.round > 0,
          );
          expect(phase?.side, `seed ${seed}`).toBe(cue.side);
          if (cue.side === null || (cue.source.part === 'phase' && cue.source.form !== 'full')) continue;
          const first = step.sides === 'both-directions' ? cue.side === 'one-way' : legOf(cue.side) === step.startSide;
          expect(cue.text, `seed ${seed}`).toContain(`o the ${sideWord(cue.side, plan.style, first)}.`);
        }
      }
    }
  });

  it('fitted words end before the next is due, wherever a form can', () => {
    for (const seed of SEEDS.slice(0, 60)) {
      const { plan, timeline } = classOf(seed);
      const after = planAfter(plan, fitWords(plan, timeline, { manner: 'fullest' }).edit);
      const again = expandPlan(after);
      expect(again.runtimeSeconds, `seed ${seed}`).toBe(timeline.runtimeSeconds);
      expect(fitWords(after, again, { manner: 'fullest' }).edit, `seed ${seed}`).toBeNull();
      for (const cue of again.cues) {
        if (cue.round === 0 || cue.source.part !== 'phase' || cue.source.form === 'silent') continue;
        const waits = cue.startSeconds > cue.motionSeconds - plan.voice.leadSeconds + 1e-3;
        if (!waits) expect(cue.endSeconds - cue.dueSeconds, `seed ${seed}, ${cue.text}`).toBeLessThan(0.03);
      }
    }
  });
});
