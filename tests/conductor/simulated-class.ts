import { isWorthChanging, rateOf, replan, type LoggedEvent, type Replan } from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { expandPlan, nextCue } from '@/core/timeline';
import { itemAt, Random, type Seconds } from '@/core/units';

/*
 * An instructor who gives a class by the prompter, line by line, seeded: eight in a hundred slower than planned, give or
 * take, with interruptions of 10 to 60 s before the settling begins. The changes that are offered are taken.
 */

export interface Taken {
  readonly placeSeconds: Seconds;
  readonly before: ClassPlan;
  readonly change: Replan;
  readonly tookMilliseconds: number;
}

export interface Given {
  readonly endedSeconds: Seconds;
  readonly interruptedSeconds: Seconds;
  readonly plan: ClassPlan;
  readonly taken: readonly Taken[];
  /** Every replan that was asked for, in milliseconds. */
  readonly asked: readonly number[];
}

const SLOW = 1.08;
/** People are interrupted while they move; in the last part there is nothing left to change. */
const INTERRUPTED_WITHIN = 0.7;

export function giveClass(plan: ClassPlan, seed: number, clock: () => number): Given {
  const chance = new Random(seed);
  const { targetSeconds } = plan;
  let now = { plan, timeline: expandPlan(plan) };
  const stops = Array.from({ length: Math.max(1, Math.round(now.timeline.runtimeSeconds / 600)) }, () => ({
    at: chance.next() * INTERRUPTED_WITHIN * now.timeline.runtimeSeconds,
    seconds: chance.whole(10, 60),
  })).sort((a, b) => a.at - b.at);
  const interruptedSeconds = stops.reduce((sum, { seconds }) => sum + seconds, 0);
  const events: LoggedEvent[] = [{ event: 'start', atSeconds: 0, placeSeconds: 0 }];
  const taken: Taken[] = [];
  const asked: number[] = [];
  let [elapsed, place] = [0, 0];
  const pace = (): number => SLOW * (0.97 + 0.06 * chance.next());
  for (let next = nextCue(now.timeline, -1); next; next = nextCue(now.timeline, place)) {
    elapsed += (next.startSeconds - place) * pace();
    place = next.startSeconds;
    while (stops.length > 0 && itemAt(stops, 0).at <= place) elapsed += stops.shift()?.seconds ?? 0;
    events.push({ event: 'next-line', atSeconds: elapsed, placeSeconds: place });
    const standing = { placeSeconds: place, elapsedSeconds: elapsed, targetSeconds, rate: rateOf(events) };
    if (!isWorthChanging(now.timeline, standing)) continue;
    const began = clock();
    const change = replan(now.plan, now.timeline, standing);
    const tookMilliseconds = clock() - began;
    asked.push(tookMilliseconds);
    if (!change) continue;
    taken.push({ placeSeconds: place, before: now.plan, change, tookMilliseconds });
    now = { plan: change.plan, timeline: change.timeline };
  }
  elapsed += (now.timeline.runtimeSeconds - place) * pace();
  return { endedSeconds: elapsed, interruptedSeconds, plan: now.plan, taken, asked };
}
