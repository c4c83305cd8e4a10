import { firstItems } from '@/core/units';
import { demoClasses } from '../src/demo/classes';
import { giveClass } from '../tests/conductor/simulated-class';
import { ms } from './measure';

const SEEDS = 20;

/** Replans while an hour is given too slowly, and how near its target it ends. */
export function benchLanding(): void {
  for (const name of ['before-the-first-ferry', 'thursday-live']) {
    const plan = demoClasses().find((one) => one.name === name)?.plan;
    if (!plan) throw new Error(`no class ${name}`);
    const runs = Array.from({ length: SEEDS }, (_, at) => giveClass(plan, at + 1, () => performance.now()));
    const took = runs.flatMap(({ asked }) => asked).sort((a, b) => a - b);
    const within = runs.filter(({ endedSeconds }) => Math.abs(endedSeconds - plan.targetSeconds) <= 5).length;
    const [median = 0] = firstItems(took.slice(took.length >> 1), 1);
    const p95 = took[Math.floor(took.length * 0.95)] ?? 0;
    console.log(
      `${plan.title}, ${Math.round(plan.targetSeconds / 60)} min: ${took.length} replans, median ${ms(median)}, p95 ${ms(p95)}; ${within} of ${SEEDS} end within 5 s`,
    );
  }
}
