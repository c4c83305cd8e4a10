import { describe, it } from 'vitest';
import { fitPlan, proposeFits, reachOf } from '@/core/pacing';
import { planMilliseconds, type ClassPlan } from '@/core/plan';
import { expandPlan, packShape, shapeOf } from '@/core/timeline';
import { Random } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { randomPlan } from '../support/random-plan';
import { areAsApproved, asText } from './as-text';

/* Fits of the demo's classes and of drawn ones to shorter and longer targets, with what gives way where none is found. */

const plans: readonly (readonly [string, ClassPlan])[] = [
  ...demoClasses().map(({ name, plan }) => [name, plan] as const),
  ...Array.from({ length: 24 }, (_, seed) => {
    const plan = randomPlan(new Random(seed + 1), { steps: 4 + (seed % 5), breathTenths: 12, choicesAtMost: 6 });
    return [`drawn ${seed + 1}`, plan] as const;
  }),
];

describe('fits, as they were looked at', () => {
  it('to other lengths', () =>
    areAsApproved(
      'fits',
      plans.flatMap(([name, plan]) => {
        const length = planMilliseconds(plan) / 1000;
        return [
          `== ${name}: ${length} s, reach ${asText(reachOf(plan))}`,
          ...[0.6, 0.85, 0.97, 1.03, 1.15, 1.5].map((share) => {
            const { ...fit } = fitPlan(plan, Math.round(share * length));
            return `  x ${share}: ${asText(fit)}`;
          }),
        ];
      }),
    ));

  it('proposed beside each other', () =>
    areAsApproved(
      'proposals',
      plans.slice(0, 12).map(([name, plan]) => {
        const length = planMilliseconds(plan) / 1000;
        return `${name}: ${asText(proposeFits(plan, Math.round(1.08 * length)))}`;
      }),
    ));

  it('drawn small', () =>
    areAsApproved(
      'shapes',
      plans.map(([name, plan]) => `${name}: ${packShape(shapeOf(plan, expandPlan(plan)))}`),
    ));

  it('on the timelines that they are fitted on', () =>
    areAsApproved(
      'timelines',
      plans.map(([name, plan]) => {
        const { cues, phases, steps, runtimeSeconds } = expandPlan(plan);
        const times = [cues, phases, steps].map((those) =>
          asText(Float64Array.from(those.flatMap(({ startSeconds, endSeconds }) => [startSeconds, endSeconds]))),
        );
        return `${name}: ${runtimeSeconds} ${times.join(' ')} ${cues.map(({ text }) => text.length).join(' ')}`;
      }),
    ));
});
