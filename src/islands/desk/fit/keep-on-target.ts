import type { FitOptions } from '@/core/pacing';
import type { Edit } from '@/core/plan';
import type { Fitter } from '@/workers/fitter/client';
import type { DeskStore } from '../desk-store';

/** Fields by which a person says how long a step is or whether it is there: a fit that follows leaves them alone. */
const CHOSEN: ReadonlySet<string> = new Set(['rounds', 'seconds', 'tempo', 'skipped', 'pinned']);

/** What an edit has just set, and a fit that follows it must not move. */
export function heldBy(edit: Edit): NonNullable<FitOptions['held']> {
  if (edit.kind === 'together') {
    const parts = edit.edits.map(heldBy);
    return { stepIds: parts.flatMap((part) => part.stepIds), breath: parts.some((part) => part.breath) };
  }
  if (edit.kind === 'set-step' && CHOSEN.has(edit.field)) return { stepIds: [edit.stepId], breath: false };
  return { stepIds: [], breath: edit.kind === 'set-plan' && edit.field === 'pace' };
}

/**
 * While a class is kept on its target, refits it after each edit in the worker. An answer that comes after a newer
 * edit is dropped; one that nothing can land leaves the plan alone and says so. Gives back how to stop.
 */
export function keepOnTarget(desk: DeskStore, fitter: Fitter): () => void {
  const refit = async (edit: Edit): Promise<void> => {
    const { plan } = desk.getState();
    if (!plan.keepOnTarget) {
      desk.setLanding({ kind: 'still' });
      return undefined;
    }
    desk.setLanding({ kind: 'working' });
    const fit = await fitter.fit(plan, heldBy(edit)).catch(() => 'failed' as const);
    if (fit === 'failed') return desk.setLanding({ kind: 'failed' });
    if (!fit || desk.getState().plan !== plan) return undefined;
    if (fit.feasible && fit.edit) desk.follow(fit.edit);
    return desk.setLanding(fit.feasible ? { kind: 'still' } : { kind: 'cannot', why: fit });
  };
  return desk.onEdit((edit) => void refit(edit));
}
