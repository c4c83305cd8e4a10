import { checkPlan, createChecker } from '../src/core/checks';
import { makePhase, spokenLines } from '../src/core/movement';
import { reachOf } from '../src/core/pacing';
import { applyEdit, emptyPlan, makeMovement, makeQuiet, makeSection, makeTalk, type ClassPlan } from '../src/core/plan';
import { fitWords } from '../src/core/script';
import { expandPlan } from '../src/core/timeline';
import { countingIds } from '../tests/support/chance';
import { ms, spread, timed } from './measure';

/** An hour with about 1 500 lines: 56 movements of four phases and six to seven rounds, each taught and cautioned. */
function wordyHour(): ClassPlan {
  const newId = countingIds('w');
  const movement = (index: number) =>
    makeMovement(newId, `Movement ${index}`, {
      rounds: 6 + (index % 2),
      paceMultiplier: 0.9,
      fade: ['full', 'short', 'breath'],
      cautions: index % 5 === 0 ? ['twist'] : [],
      teach: spokenLines(newId, [[`Movement ${index}. Turn from the waist, knees over the feet, easy and slow.`, 2]]),
      moments: { naming: '', caution: '', sending: '', roundsLeft: '{rounds left} more.', leaving: '' },
      pattern: [
        makePhase(newId, { kind: 'in', share: 0.5, full: 'In, and the arms rise.', short: 'In, rise.' }),
        makePhase(newId, { kind: 'out', share: 0.5, full: 'Out, and they sink.', short: 'Out, sink.' }),
        makePhase(newId, { kind: 'in', share: 0.5, full: 'In, and they open.', short: 'In, open.' }),
        makePhase(newId, { kind: 'out', share: 0.5, full: 'Out, and they close.', short: 'Out, close.' }),
      ],
    });
  const all = Array.from({ length: 56 }, (_, index) => movement(index + 1));
  return {
    ...emptyPlan(newId, 'A wordy hour', 3600, 9),
    sections: [
      makeSection(newId, 'welcome', [makeTalk(newId, 'Welcome', ['Stand easy, and let the shoulders hang.'])]),
      makeSection(newId, 'main', all.slice(0, 28)),
      makeSection(newId, 'main', all.slice(28)),
      makeSection(newId, 'closing', [makeQuiet(newId, 'Stand', { seconds: 60 })]),
    ],
  };
}

/** A keystroke in a line on an hour of 1 500 lines: replan, words of that step, checks; beside doing all from nothing. */
export function benchScript(): void {
  const plan = wordyHour();
  const timeline = expandPlan(plan);
  const minutes = (timeline.runtimeSeconds / 60).toFixed(0);
  const nothing = timed(() => checkPlan(plan, timeline), 15);
  console.log(
    `all checks from nothing, ${timeline.cues.length} lines in ${minutes} min: median ${ms(nothing.median)}, p95 ${ms(nothing.p95)}`,
  );
  const expand = expandPlan;
  const check = createChecker();
  check(plan, expand(plan));
  let now = plan;
  const kept: number[] = [];
  const whole: number[] = [];
  for (let key = 0; key < 60; key++) {
    const step = now.sections[1].steps[13];
    if (step.kind !== 'movement') throw new Error('no movement');
    const pattern = step.pattern.map((phase, at) =>
      at === 0 ? { ...phase, full: `${phase.full.slice(0, 20)}${key}` } : { ...phase },
    );
    const edit = { kind: 'set-step', stepId: step.id, field: 'pattern', value: pattern } as const;
    const began = performance.now();
    const applied = applyEdit(now, edit);
    if (!applied.ok) throw new Error('no edit');
    const after = applied.value.plan;
    const seen = expand(after);
    reachOf(after);
    fitWords(after, seen, step.id);
    check(after, seen);
    kept.push(performance.now() - began);
    now = after;
    const again = performance.now();
    const fresh = expandPlan(after);
    reachOf(after);
    fitWords(after, fresh);
    checkPlan(after, fresh);
    whole.push(performance.now() - again);
  }
  const [fast, slow] = [spread(kept.slice(10)), spread(whole.slice(10))];
  console.log(
    `a keystroke in a line: median ${ms(fast.median)}, p95 ${ms(fast.p95)}; everything again: median ${ms(slow.median)} (${(slow.median / fast.median).toFixed(1)} : 1)`,
  );
}
