import { isCounted, settledFrom } from '@/core/movement';
import {
  companionsOf,
  contractOf,
  countMilliseconds,
  countsMilliseconds,
  isMovement,
  maySkip,
  stepsInOrder,
  timesPerformed,
  type ClassPlan,
  type MovementStep,
  type PlanVoice,
  type Step,
  type StepPace,
} from '@/core/plan';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import { skipCost, roundsCost, silenceCostPerMillisecond, talkCostPerMillisecond, type Weights } from './cost';
import type { ElasticItem, Item, ItemKind } from './model';
import { tied } from './ties';

/** The steps of a plan as the fit sees them. */
export interface Collected {
  readonly fixed: Milliseconds;
  readonly items: readonly Item[];
  readonly elastic: readonly ElasticItem[];
  /** Steps that are not there whatever is chosen: left out and pinned, or going with one that is. */
  readonly absent: ReadonlySet<string>;
  /** Movements that a change of breath touches. */
  readonly movements: number;
}

/** What one step takes while it is there, apart from counted rounds. */
interface Parts {
  readonly fixed: Milliseconds;
  readonly elastic: readonly ElasticItem[];
}

/** Sorts the steps of a plan into what is fixed, what has choices and what stretches. */
export function collectUnits(
  plan: ClassPlan,
  paces: ReadonlyMap<string, StepPace>,
  tenths: readonly number[],
  weights: Weights,
  held: ReadonlySet<string>,
): Collected {
  const companions = companionsOf(plan);
  const following = new Set([...companions.values()].flat().map((step) => step.id));
  const items: Item[] = [];
  const elastic: ElasticItem[] = [];
  const absent = new Set<string>();
  let fixed = 0;
  let movements = 0;
  const orders = new Map(stepsInOrder(plan).map(({ step }, index) => [step.id, index]));
  const partsOf = (step: Step): Parts => {
    return partsOfStep(step, plan.voice, orders.get(step.id) ?? 0, weights, step.pinned || held.has(step.id));
  };
  for (const { step, section } of stepsInOrder(plan)) {
    const stays = step.pinned || held.has(step.id);
    const pace = paces.get(step.id);
    const counted = isMovement(step) && isCounted(step.pacedBy);
    if (counted) movements++;
    if (following.has(step.id)) continue;
    const members = [step, ...(companions.get(step.id) ?? [])];
    if (stays && step.skipped) {
      for (const member of members) absent.add(member.id);
      continue;
    }
    const parts = members.map(partsOf);
    const base = parts.reduce((total, part) => total + part.fixed, 0);
    const stretching = parts.flatMap((part) => part.elastic);
    const outCost = stays || !maySkip(step, section.role) ? null : skipCost(step.priority, weights);
    if (!counted && outCost === null) {
      fixed += base;
      elastic.push(...stretching);
      continue;
    }
    const kind: ItemKind = counted ? kindOf(step, stays, weights) : { what: 'presence' };
    items.push({
      stepId: step.id,
      kind,
      members: members.map((member) => member.id),
      base: base + stretching.reduce((total, item) => total + item.preferred, 0),
      elastic: stretching,
      outCost,
      unitMilliseconds: counted && pace ? unitTable(step, pace, tenths) : NO_UNITS,
      countedMilliseconds: counted && pace ? countedTable(step, kind, pace, tenths) : null,
      tied: [{ stepId: step.id, times: timesPerformed(step) }],
    });
  }
  const ties = new Map(stepsInOrder(plan).flatMap(({ step }) => (step.tieId === null ? [] : [[step.id, step.tieId]])));
  return { fixed, ...tied({ items, elastic: elastic.sort(byOrder) }, ties), absent, movements };
}

const NO_UNITS = new Float64Array(0);

interface UnitTable {
  readonly key: string;
  readonly milliseconds: Float64Array;
}

/** Steps never change in place, so the lengths of a step's rounds are worked out once for the same breaths. */
const unitTables = new WeakMap<MovementStep, UnitTable>();

/** One count of a movement's rounds at each breath length. */
function unitTable(step: MovementStep, pace: StepPace, tenths: readonly number[]): Float64Array {
  const key = `${pace.multiplier} ${pace.inhaleShare} ${tenths[0]} ${tenths[tenths.length - 1]} ${tenths.length}`;
  const known = unitTables.get(step);
  if (known?.key === key) return known.milliseconds;
  const times = timesPerformed(step);
  const milliseconds = Float64Array.from(tenths, (length) => times * countMilliseconds(step, pace, length / 10));
  unitTables.set(step, { key, milliseconds });
  return milliseconds;
}

/** All counts of each choice of rounds at each breath length, where they differ from round to round. */
function countedTable(
  step: MovementStep,
  kind: ItemKind,
  pace: StepPace,
  tenths: readonly number[],
): Float64Array | null {
  if (kind.what !== 'rounds' || settledFrom(step.pattern) === 1) return null;
  const times = timesPerformed(step);
  return Float64Array.from(
    tenths.flatMap((length) =>
      kind.rounds.map((rounds) => times * countsMilliseconds(step, pace, length / 10, rounds)),
    ),
  );
}

export function byOrder(a: ElasticItem, b: ElasticItem): number {
  return a.order - b.order;
}

function kindOf(step: MovementStep, stays: boolean, weights: Weights): ItemKind {
  if (step.pacedBy === 'clock') {
    const times = timesPerformed(step);
    return {
      what: 'clock',
      multiple: step.multiple,
      min: times * toMilliseconds(step.minSeconds),
      preferred: times * toMilliseconds(step.preferredSeconds),
      max: times * toMilliseconds(step.maxSeconds),
      pinnedTo: stays ? times * toMilliseconds(step.seconds) : null,
    };
  }
  const rounds = stays ? [step.rounds] : allowedRounds(step);
  const costs = rounds.map((count) => (stays ? 0 : roundsCost(count, step.preferredRounds, weights)));
  return { what: 'rounds', rounds, costs };
}

/** Rounds a movement may take: its bounds in its multiple, or its own count alone when pinned or none is left. */
export function allowedRounds(step: MovementStep): number[] {
  const found: number[] = [];
  if (!step.pinned) {
    const first = Math.ceil(step.minRounds / step.multiple) * step.multiple;
    for (let rounds = first; rounds <= step.maxRounds; rounds += step.multiple) found.push(rounds);
  }
  return found.length > 0 ? found : [step.rounds];
}

function partsOfStep(step: Step, voice: PlanVoice, order: number, weights: Weights, stays: boolean): Parts {
  const { fixed: once, stretch } = contractOf(step).parts(step, voice, stays);
  const times = timesPerformed(step);
  const fixed = times * once;
  if (!stretch) return { fixed, elastic: [] };
  const { of } = stretch;
  const min = times * stretch.min;
  const max = Math.max(min, times * stretch.max);
  const preferred = Math.min(max, Math.max(min, times * stretch.preferred));
  const cost = of === 'talk' ? talkCostPerMillisecond : silenceCostPerMillisecond;
  const costPerMillisecond = cost(times * stretch.preferred, weights);
  return {
    fixed,
    elastic: [
      {
        stepId: step.id,
        kind: of,
        order,
        min,
        preferred,
        max,
        costPerMillisecond,
        parts: [{ stepId: step.id, preferred, times }],
      },
    ],
  };
}
