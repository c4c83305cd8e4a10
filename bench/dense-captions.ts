import type { Caption } from '../src/core/interchange';
import { makePhase } from '../src/core/movement';
import { emptyPlan, makeMovement, makeSection } from '../src/core/plan';
import { practiceSchedule, type PracticeSchedule } from '../src/core/practice';
import { expandPlan } from '../src/core/timeline';
import { Random } from '../src/core/units';
import { countingIds } from '../tests/support/chance';
import { machineCaptions } from '../tests/support/machine-captions';

/** A class of many short cues, each phase of a quick breath a word or two, as a machine wrote them down. */
export function denseCaptions(
  minutes: number,
  breathSeconds: number,
): Pick<PracticeSchedule, 'timeline' | 'lengthSeconds'> & { readonly captions: readonly Caption[] } {
  const newId = countingIds('d');
  const rounds = 7;
  const movements = Array.from({ length: Math.round((minutes * 60) / (rounds * breathSeconds + 6)) }, (_, index) =>
    makeMovement(newId, `Movement ${index}`, {
      rounds,
      preferredRounds: rounds,
      fade: index % 2 === 0 ? ['short'] : ['full', 'short'],
      pattern: [
        makePhase(newId, { kind: 'inhale', full: 'Breathe in, rise.', short: 'In.' }),
        makePhase(newId, { kind: 'exhale', full: 'Breathe out, sink.', short: 'Out.' }),
      ],
    }),
  );
  const plan = {
    ...emptyPlan(newId, 'Dense', minutes * 60, breathSeconds),
    sections: [makeSection(newId, 'main', movements)],
  };
  const chance = new Random(5);
  const lengths = new Map(
    expandPlan(plan).cues.map(({ text, startSeconds, endSeconds }) => [text, endSeconds - startSeconds]),
  );
  const saying = practiceSchedule({ plan, tempo: 'wandering', seed: 5 });
  let next = saying.next();
  while (!next.done)
    next = saying.next((lengths.get(next.value) ?? 0.06 * next.value.length) * (0.9 + 0.2 * chance.next()));
  const captions = machineCaptions(next.value, { wordErrors: 0.12, timesOff: 0.15, invents: 0.3 }, 3);
  return { timeline: next.value.timeline, lengthSeconds: next.value.lengthSeconds, captions };
}
