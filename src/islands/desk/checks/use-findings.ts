import { useContext, useEffect, useMemo, useState } from 'react';
import type { Checker, Finding, Gathered } from '@/core/checks';
import type { ClassPlan } from '@/core/plan';
import { loadable, useLoaded } from '@/ui/parts/on-demand';
import { StudioContext } from '../studio-context';
import { useDeskStore } from '../use-desk';

/** What the checks say of the plan as it stands. */
export interface Findings {
  /** The plan they were found in. */
  readonly of: ClassPlan | null;
  /** What is the same in many places is one. */
  readonly open: readonly Gathered[];
  /** Finds them: kept, since it remembers what did not change. */
  readonly check: Checker | null;
  readonly dismissed: readonly { readonly gathered: Gathered; readonly reason: string }[];
}

const NOTHING: Omit<Findings, 'check'> = { of: null, open: [], dismissed: [] };
/** The checks are many and come after the class is drawn. */
const checks = loadable(() => import('@/core/checks'));
type Checks = NonNullable<ReturnType<typeof checks.now>>;
/** How long the checks run before the page may draw. */
const SLICE_MILLISECONDS = 8;

function sorted(
  { dismissalReason, gathered }: Checks,
  plan: ClassPlan,
  findings: readonly Finding[],
): Omit<Findings, 'check'> {
  const open: Finding[] = [];
  const dismissed = new Map<string, Finding[]>();
  for (const finding of findings) {
    const reason = dismissalReason(plan, finding);
    if (reason === null) open.push(finding);
    else dismissed.set(reason, [...(dismissed.get(reason) ?? []), finding]);
  }
  const aside = [...dismissed].flatMap(([reason, of]) => gathered(of).map((one) => ({ gathered: one, reason })));
  return { of: plan, open: gathered(open), dismissed: aside };
}

/** The findings on the desk's class, found again after each edit, once it is `drawn`. */
export function useFindings(drawn: boolean): Findings {
  const desk = useDeskStore();
  const { spelling } = useContext(StudioContext);
  const loaded = useLoaded(checks, drawn);
  const check = useMemo(() => loaded?.createChecker(spelling.own) ?? null, [loaded, spelling.own]);
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    if (!loaded || !check) return undefined;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    // A newer plan begins anew: what was found of the older one so far is remembered by the checker.
    let search: Generator<void, Finding[]> | null = null;
    let of = desk.getState().plan;
    const slice = (): void => {
      if (search === null) {
        const { plan, timeline } = desk.getState();
        of = plan;
        search = check.inSlices(plan, timeline);
      }
      const until = performance.now() + SLICE_MILLISECONDS;
      let step = search.next();
      while (!step.done && performance.now() < until) step = search.next();
      if (step.done) setFound(sorted(loaded, of, step.value));
      else waiting = setTimeout(slice);
    };
    waiting = setTimeout(slice);
    const stop = desk.subscribe((state, before) => {
      if (state.plan === before.plan) return;
      clearTimeout(waiting);
      search = null;
      waiting = setTimeout(slice);
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }, [desk, loaded, check]);
  return useMemo(() => ({ ...found, check }), [found, check]);
}
