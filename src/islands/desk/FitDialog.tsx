import { useMemo } from 'react';
import { enoughLoosenings, fitPlan, type Fitted, type NotFitted } from '@/core/pacing';
import { findStep } from '@/core/plan';
import { formatClock } from '@/core/units';
import { changeWords, looseningWords, whyNot } from '@/messages/fit';
import { Dialog } from '@/ui/parts/Dialog';
import { useDesk, useDeskStore } from './use-desk';

/** The best fit to the target, shown before it is taken; or why there is none and what to loosen. */
export function FitDialog({ onClose }: { readonly onClose: () => void }) {
  const plan = useDesk((state) => state.plan);
  const fit = useMemo(() => fitPlan(plan), [plan]);
  const nameOf = (stepId: string): string => findStep(plan, stepId)?.step.name ?? '';
  return (
    <Dialog title={`Fit to ${formatClock(plan.targetSeconds)}`} onClose={onClose}>
      {fit.feasible ? <FitFound fit={fit} nameOf={nameOf} onClose={onClose} /> : <NoFit fit={fit} nameOf={nameOf} />}
    </Dialog>
  );
}

interface FoundProps {
  readonly fit: Fitted;
  readonly nameOf: (stepId: string) => string;
  readonly onClose: () => void;
}

function FitFound({ fit, nameOf, onClose }: FoundProps) {
  const desk = useDeskStore();
  const { edit } = fit;
  if (!edit) return <p>The class is on its target with everything as you asked for it. Nothing to change.</p>;
  return (
    <>
      <p>
        Lands on <strong>{formatClock(fit.runtimeSeconds)}</strong> with{' '}
        {fit.changes.length === 1 ? 'one change' : `${fit.changes.length} changes`}. Pinned things stay.
      </p>
      <table className="my-3 table">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              Now
            </th>
            <th scope="col" className="text-right">
              Then
            </th>
          </tr>
        </thead>
        <tbody>
          {fit.changes.map((change) => {
            const { what, from, to } = changeWords(change, nameOf);
            return (
              <tr key={change.stepId ?? 'breath'}>
                <td>{what}</td>
                <td className="text-right">{from}</td>
                <td className="text-right font-semibold">{to}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {!fit.proven && <p className="text-warning mb-2 text-sm">This is the best found; a better one may exist.</p>}
      <button
        type="button"
        className="btn btn-primary"
        autoFocus
        onClick={() => {
          desk.edit(edit);
          onClose();
        }}
      >
        Take this fit
      </button>
    </>
  );
}

function NoFit({ fit, nameOf }: { readonly fit: NotFitted; readonly nameOf: (stepId: string) => string }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const enough = useMemo(() => enoughLoosenings(plan, plan.targetSeconds), [plan]);
  return (
    <>
      <p>{whyNot(fit, plan.targetSeconds)}</p>
      {fit.loosen.length > 0 && (
        <>
          {enough.length > 1 && (
            <button
              type="button"
              className="btn btn-primary mt-3"
              onClick={() => desk.edit({ kind: 'together', edits: enough.map((one) => one.edit) })}
            >
              Loosen the {enough.length} that gain most
            </button>
          )}
          <h3 className="mt-4 font-semibold">What could be loosened</h3>
          <ul>
            {fit.loosen.slice(0, 8).map((one) => (
              <li
                key={`${one.what} ${one.stepId ?? ''}`}
                className="border-base-300 flex items-center justify-between gap-3 border-b py-1"
              >
                <span>{looseningWords(one, nameOf)}</span>
                <span className="flex shrink-0 items-center gap-2">
                  <span className="quiet-ink text-sm">
                    {formatClock(one.gainSeconds)} {one.suffices ? '· enough' : ''}
                  </span>
                  <button type="button" className="btn btn-xs" onClick={() => desk.edit(one.edit)}>
                    Loosen
                  </button>
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {fit.loosen.length === 0 && fit.reason !== 'between-rounds' && (
        <p className="mt-2">Add or remove steps to change what is possible.</p>
      )}
    </>
  );
}
