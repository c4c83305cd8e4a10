import { describe, it } from 'vitest';
import {
  frozenSteps,
  isFollowed,
  lateBy,
  linesInRecording,
  linesShown,
  placeAt,
  projectedSeconds,
  rateOf,
  READY,
  resumed,
  roundsBy,
  startByMarks,
  startInRecording,
  stepsPerformed,
  transition,
  type LoggedEvent,
  type Performance,
  type PerformanceEvent,
  type PerformanceLog,
} from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { expandPlan, nextCue, type Timeline } from '@/core/timeline';
import { itemAt, Random, type Seconds } from '@/core/units';
import { giveClass } from '../conductor/simulated-class';
import { demoPlan } from '../support/demo-plan';
import { areAsApproved, asText } from './as-text';

/* Classes as they were performed: by hand and by the clock, late and changed on the way, with what is told of them. */

interface Run {
  readonly log: PerformanceLog;
  readonly states: readonly Performance[];
}

/** What a restless hand may do, with how often. */
const DOES: readonly (readonly [PerformanceEvent['kind'], number])[] = [
  ['next-line', 12],
  ['tick', 6],
  ['line-back', 2],
  ['hold', 2],
  ['go-on', 4],
  ['next-step', 1],
  ['step-back', 1],
  ['by-hand', 1],
  ['by-clock', 1],
  ['by-ear', 1],
  ['heard', 5],
];

/** A seeded performance of so many turns, as the prompter would log it. */
function perform(timeline: Timeline, title: string, seed: number, turns: number): Run {
  const chance = new Random(seed);
  const kinds = DOES.flatMap(([kind, often]) => Array.from({ length: often }, () => kind));
  const events: LoggedEvent[] = [];
  const states: Performance[] = [];
  let [state, now]: [Performance, Seconds] = [READY, 100];
  const began = now;
  const step = (kind: PerformanceEvent['kind']): void => {
    const place = placeAt(state, timeline, now);
    const line = nextCue(timeline, place + 12 * chance.next() - 4)?.startSeconds ?? place;
    const event =
      kind === 'heard' ? { kind, now, placeSeconds: line, begunSeconds: now - 2 * chance.next() } : { kind, now };
    const [next, effects] = transition(timeline, state, event);
    state = next;
    states.push(next);
    for (const effect of effects)
      if (effect.kind === 'log')
        events.push({
          event: effect.event,
          atSeconds: Number((effect.now - began).toFixed(3)),
          placeSeconds: Number(effect.placeSeconds.toFixed(3)),
        });
  };
  step('start');
  for (let turn = 0; turn < turns; turn++) {
    now += 0.5 + 9 * chance.next();
    if (turn % 17 === 5)
      events.push({ event: 'mark', atSeconds: now - began, placeSeconds: events.at(-1)?.placeSeconds ?? 0 });
    step(itemAt(kinds, chance.whole(0, kinds.length - 1)));
  }
  now += 2;
  step('end');
  return {
    log: { format: 'calm-count/performance-log', version: 3, title, events, performed: null },
    states,
  };
}

const runs = ['before-the-first-ferry', 'net-menders-break', 'evening-ebb'].flatMap((name) =>
  [1, 2].map((seed) => {
    const plan = demoPlan(name);
    const timeline = expandPlan(plan);
    return { name: `${name} ${seed}`, plan, timeline, run: perform(timeline, name, seed, 70) };
  }),
);

describe('classes as performed, as they were looked at', () => {
  it('by a restless hand, with what the log tells', () =>
    areAsApproved(
      'performed',
      runs.flatMap(({ name, plan, timeline, run: { log, states } }) => {
        const shown = linesShown(timeline, log);
        const speech = shown.filter((_, at) => at % 3 !== 1);
        const marks = log.events.flatMap(({ event, atSeconds }, at) =>
          event === 'mark' && at % 2 === 0 ? [atSeconds + 7.25, atSeconds + 31] : [],
        );
        const shifted = speech.map(({ startSeconds, endSeconds }, at) => ({
          startSeconds: startSeconds + 7 + (at % 2) / 8,
          endSeconds: endSeconds + 7,
        }));
        return [
          `== ${name}`,
          ...log.events.map((event) => asText(Object.values(event))),
          asText(states),
          asText(states.map((state) => projectedSeconds(state, timeline, state.sinceSeconds + 3))),
          `rate ${rateOf(log.events).toFixed(5)}`,
          asText(shown.map(({ startSeconds, endSeconds }) => [startSeconds, endSeconds])),
          asText(stepsPerformed(plan, log).map(({ performed, offSeconds }) => [performed, offSeconds])),
          asText([startByMarks(log, marks, 5), startByMarks(log, marks, 30), startInRecording(shown, shifted)]),
          asText(
            linesInRecording(timeline, log, { speech: shifted, marks: [] }).map(({ startSeconds }) => startSeconds),
          ),
          asText(resumed(log.events.slice(0, 20), { atSeconds: 90, placeSeconds: 44 }, 200, 1000)),
        ];
      }),
    ));

  it('late, and changed on the way', () =>
    areAsApproved(
      'changed',
      ['before-the-first-ferry', 'thursday-live'].flatMap((name) =>
        [1, 2, 3].flatMap((seed) => {
          const plan = demoPlan(name);
          const { endedSeconds, taken, plan: last } = giveClass(plan, seed, () => 0);
          const events = lateEvents(plan, 1.05 + 0.01 * seed);
          const log: PerformanceLog = {
            format: 'calm-count/performance-log',
            version: 3,
            title: name,
            events,
            performed: last,
          };
          return [
            `== ${name} ${seed}: ${endedSeconds.toFixed(3)}, rate ${rateOf(events).toFixed(5)}`,
            ...taken.map(({ placeSeconds, before, change }) => {
              const { timeline, plan: after, ...rest } = change;
              const frozen = frozenSteps(before, expandPlan(before), placeSeconds).size;
              const standing = {
                placeSeconds,
                elapsedSeconds: placeSeconds + 20,
                targetSeconds: plan.targetSeconds,
                rate: 1,
              };
              const late = lateBy(timeline, standing);
              return `${placeSeconds} ${frozen} ${late.toFixed(3)} ${after.pace.breathSeconds} ${asText(rest)}`;
            }),
            asText(stepsPerformed(plan, log)),
          ];
        }),
      ),
    ));

  it('followed by ear, or not', () =>
    areAsApproved(
      'followed',
      [true, false]
        .flatMap((was) =>
          [0.1, 0.59, 0.6, 0.9].map((share) =>
            [0, 8, 8.1].map((lostSeconds) =>
              [0, 8, 8.1, 40, 40.1].map((asideSeconds) =>
                Number(isFollowed(was, { share, lostSeconds, asideSeconds })),
              ),
            ),
          ),
        )
        .map(asText),
    ));

  it('with a round more or fewer by hand', () =>
    areAsApproved(
      'rounds-by-hand',
      runs.flatMap(({ name, plan, timeline }) => [
        `== ${name}`,
        ...timeline.steps
          .filter(({ rounds }) => rounds > 0)
          .flatMap(({ startSeconds, endSeconds }) =>
            [0.1, 0.5, 0.9].flatMap((share) =>
              ([1, -1] as const).map((by) => {
                const placeSeconds = startSeconds + share * (endSeconds - startSeconds);
                const done = roundsBy({ plan, timeline }, placeSeconds, by);
                return `${placeSeconds.toFixed(2)} ${by}: ${done ? done.timeline.runtimeSeconds.toFixed(3) : '-'}`;
              }),
            ),
          ),
      ]),
    ));
});

/** Every line moved on to by hand, a little later each than planned. */
function lateEvents(plan: ClassPlan, slow: number): LoggedEvent[] {
  const timeline = expandPlan(plan);
  const events: LoggedEvent[] = [{ event: 'start', atSeconds: 0, placeSeconds: 0 }];
  for (let next = nextCue(timeline, -1); next; next = nextCue(timeline, next.startSeconds)) {
    const odd = events.length % 11 === 7 ? 20 : 0;
    const before = itemAt(events, events.length - 1);
    const took = (next.startSeconds - before.placeSeconds) * slow + odd;
    events.push({ event: 'next-line', atSeconds: before.atSeconds + took, placeSeconds: next.startSeconds });
  }
  return events;
}
