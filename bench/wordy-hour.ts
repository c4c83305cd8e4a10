import { makePhase, NO_MOMENTS, spokenLines } from '../src/core/movement';
import { emptyPlan, makeMovement, makeSilence, makeSection, makeTalk, type ClassPlan } from '../src/core/plan';
import { countingIds } from '../tests/support/chance';

/** An hour with about 1 500 lines: 56 movements of four phases and six to seven rounds, each taught and cautioned. */
export function wordyHour(): ClassPlan {
  const newId = countingIds('w');
  const movement = (index: number) =>
    makeMovement(newId, `Movement ${index}`, {
      rounds: 6 + (index % 2),
      paceMultiplier: 0.9,
      fade: ['full', 'short', 'breath'],
      cautions: index % 5 === 0 ? ['twist'] : [],
      teach: spokenLines(newId, [[`Movement ${index}. Turn from the waist, knees over the feet, easy and slow.`, 2]]),
      moments: { ...NO_MOMENTS, roundsLeft: '{rounds left} more.' },
      pattern: [
        makePhase(newId, { kind: 'inhale', share: 0.5, full: 'In, and the arms rise.', short: 'In, rise.' }),
        makePhase(newId, { kind: 'exhale', share: 0.5, full: 'Out, and they sink.', short: 'Out, sink.' }),
        makePhase(newId, { kind: 'inhale', share: 0.5, full: 'In, and they open.', short: 'In, open.' }),
        makePhase(newId, { kind: 'exhale', share: 0.5, full: 'Out, and they close.', short: 'Out, close.' }),
      ],
    });
  const all = Array.from({ length: 56 }, (_, index) => movement(index + 1));
  return {
    ...emptyPlan(newId, 'A wordy hour', 3600, 9),
    sections: [
      makeSection(newId, 'welcome', [makeTalk(newId, 'Welcome', ['Stand easy, and let the shoulders hang.'])]),
      makeSection(newId, 'main', all.slice(0, 28)),
      makeSection(newId, 'main', all.slice(28)),
      makeSection(newId, 'closing', [makeSilence(newId, 'Stand', { seconds: 60 })]),
    ],
  };
}
