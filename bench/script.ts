import { itemAt } from '@/core/units';
import { checkPlan, createChecker } from '../src/core/checks';
import { reachOf } from '../src/core/pacing';
import { applyEdit } from '../src/core/plan';
import { fitWords } from '../src/core/script';
import { expandPlan } from '../src/core/timeline';
import { ms, spread, timed } from './measure';
import { wordyHour } from './wordy-hour';

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
    const step = itemAt(itemAt(now.sections, 1).steps, 13);
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
    fitWords(after, seen, { stepId: step.id, manner: 'fullest' });
    check(after, seen);
    kept.push(performance.now() - began);
    now = after;
    const again = performance.now();
    const fresh = expandPlan(after);
    reachOf(after);
    fitWords(after, fresh, { manner: 'fullest' });
    checkPlan(after, fresh);
    whole.push(performance.now() - again);
  }
  const [fast, slow] = [spread(kept.slice(10)), spread(whole.slice(10))];
  console.log(
    `a keystroke in a line: median ${ms(fast.median)}, p95 ${ms(fast.p95)}; everything again: median ${ms(slow.median)} (${(slow.median / fast.median).toFixed(1)} : 1)`,
  );
}
