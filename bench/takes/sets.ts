import { BACKGROUNDS } from '../../src/core/practice';
import { fitPlan } from '../../src/core/pacing';
import { planAfter, type ClassPlan } from '../../src/core/plan';
import { demoPlan } from '../../tests/support/demo-plan';
import type { TakeRecipe } from '../../tests/support/takes/make-take';

/** A recipe and what it is called in a table. */
export interface NamedRecipe {
  readonly name: string;
  readonly half: 'tuned' | 'kept' | 'fresh';
  readonly recipe: TakeRecipe;
}

type Row = readonly [script: string, minutes: number | null, TakeRecipe['voice'], TakeRecipe['tempo']];

/** The costs of the match were found on these. */
const TUNED: readonly Row[] = [
  ['before-the-first-ferry', null, 'harbour', 'steady'],
  ['before-the-first-ferry', null, 'stove', 'wandering'],
  ['net-menders-break', null, 'gull', 'wandering'],
  ['net-menders-break', null, 'stove', 'steady'],
  ['storm-day-indoors', null, 'gull', 'steady'],
  ['storm-day-indoors', null, 'harbour', 'wandering'],
];

/** These were only read: other scripts, other voices. */
const KEPT: readonly Row[] = [
  ['evening-ebb', 5, 'tide', 'wandering'],
  ['evening-ebb', null, 'heron', 'wandering'],
  ['evening-ebb', null, 'rope', 'steady'],
  ['eight-section-set', null, 'rope', 'wandering'],
  ['eight-section-set', null, 'tide', 'steady'],
  ['thursday-live', null, 'heron', 'steady'],
  ['thursday-live', null, 'rope', 'wandering'],
];

/** Every take of the table, each over the four backgrounds. */
export function takeSets(): NamedRecipe[] {
  const rows = [
    ...TUNED.map((row) => ({ row, half: 'tuned' }) as const),
    ...KEPT.map((row) => ({ row, half: 'kept' }) as const),
  ];
  return rows.flatMap(({ row: [script, minutes, voice, tempo], half }, index) =>
    BACKGROUNDS.map((background) => ({
      name: `${script}${minutes === null ? '' : ` in ${minutes} min`}, ${voice}, ${tempo}, ${background}`,
      half,
      recipe: { plan: planOf(script, minutes), voice, tempo, background, seed: 400 + index },
    })),
  );
}

/** The classes and voices of the tuned half in every other pairing, with slips of their own: what was tuned should hold in them. */
export function freshSets(): NamedRecipe[] {
  const known = new Set(TUNED.map(([script, , voice, tempo]) => `${script} ${voice} ${tempo}`));
  const each = <One>(pick: (row: Row) => One): One[] => [...new Set(TUNED.map(pick))];
  const rows = each(([script]) => script).flatMap((script) =>
    each(([, , voice]) => voice).flatMap((voice) =>
      (['steady', 'wandering'] as const).map((tempo) => ({ script, voice, tempo })),
    ),
  );
  return rows.flatMap(({ script, voice, tempo }, index) => {
    if (known.has(`${script} ${voice} ${tempo}`)) return [];
    return BACKGROUNDS.map((background) => ({
      name: `${script}, ${voice}, ${tempo}, ${background}`,
      half: 'fresh' as const,
      recipe: { plan: planOf(script, null), voice, tempo, background, seed: 701 + index },
    }));
  });
}

/** A demo class, fitted to so many minutes where they are given. */
export function planOf(name: string, minutes: number | null): ClassPlan {
  const plan = demoPlan(name);
  if (minutes === null) return plan;
  const fit = fitPlan(plan, minutes * 60);
  if (!fit.feasible || !fit.edit) throw new Error(`${name} does not fit ${minutes} minutes`);
  return planAfter(plan, fit.edit);
}
