import { useContext, useEffect, useState } from 'react';
import { createChecker, setAsideReason, type Finding } from '@/core/checks';
import type { ClassPlan } from '@/core/plan';
import { StudioContext } from '../studio-context';
import { useDeskStore } from '../use-desk';

/** What the checks say of the plan as it stands. */
export interface Findings {
  /** The plan they were found in. */
  readonly of: ClassPlan | null;
  readonly open: readonly Finding[];
  readonly setAside: readonly { readonly finding: Finding; readonly reason: string }[];
}

const NOTHING: Findings = { of: null, open: [], setAside: [] };
/** The findings on the desk's class, found again after each edit, once it is drawn. */
export function useFindings(): Findings {
  const desk = useDeskStore();
  const { spelling } = useContext(StudioContext);
  const [check] = useState(() => createChecker(spelling.own));
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const run = (): void => {
      const { plan, timeline } = desk.getState();
      const open: Finding[] = [];
      const setAside: { finding: Finding; reason: string }[] = [];
      for (const finding of check(plan, timeline)) {
        const reason = setAsideReason(plan, finding);
        if (reason === null) open.push(finding);
        else setAside.push({ finding, reason });
      }
      setFound({ of: plan, open, setAside });
    };
    run();
    const stop = desk.subscribe((state, before) => {
      if (state.plan === before.plan) return;
      clearTimeout(waiting);
      waiting = setTimeout(run);
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }, [desk, check]);
  return found;
}
