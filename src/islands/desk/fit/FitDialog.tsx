import { useEffect, useState } from 'react';
import type { FitChange, NotFitted, Proposal, Proposals } from '@/core/pacing';
import { findStep } from '@/core/plan';
import { itemAt, formatClock, formatDifference } from '@/core/units';
import { changeWords, looseningWords, WAY_WORDS, whyNot } from '@/messages/fit';
import { Dialog } from '@/ui/parts/Dialog';
import { Waiting } from '@/ui/parts/Waiting';
import { useDesk, useDeskStore, useFitter } from '../use-desk';

/** Ways to land on the target, side by side with now, before one is taken; or why there is none and what to loosen. */
export function FitDialog({ onClose }: { readonly onClose: () => void }) {
  const plan = useDesk((state) => state.plan);
  const fitter = useFitter();
  const [found, setFound] = useState<{ readonly of: typeof plan; readonly proposals: Proposals } | null>(null);
  const [failed, setFailed] = useState(false);
  const [share, setShare] = useState(0);
  useEffect(() => {
    let wanted = true;
    fitter
      .propose(plan, (now) => wanted && setShare(now))
      .then(
        (proposals) => {
          if (wanted && proposals) setFound({ of: plan, proposals });
        },
        () => wanted && setFailed(true),
      );
    return () => {
      wanted = false;
    };
  }, [plan, fitter]);
  const nameOf = (stepId: string): string => findStep(plan, stepId)?.step.name ?? '';
  const proposals = found?.of === plan ? found.proposals : null;
  return (
    <Dialog title={`Fit to ${formatClock(plan.targetSeconds)}`} wide onClose={onClose}>
      {!proposals && failed && (
        <p role="status">The fit failed. The class was not changed; close this and try again.</p>
      )}
      {!proposals && !failed && (
        <div className="appears-late">
          <Waiting doing="Calculating the fit" share={share} onCancel={onClose} />
        </div>
      )}
      {proposals?.feasible && <Ways proposals={proposals.proposals} nameOf={nameOf} onClose={onClose} />}
      {proposals && !proposals.feasible && <NoFit fit={proposals.why} nameOf={nameOf} />}
    </Dialog>
  );
}

interface WaysProps {
  readonly proposals: readonly Proposal[];
  readonly nameOf: (stepId: string) => string;
  readonly onClose: () => void;
}

/** What changes down, the ways across. */
function Ways({ proposals, nameOf, onClose }: WaysProps) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const runtime = useDesk((state) => state.timeline.runtimeSeconds);
  const kept = proposals.filter(({ fit }) => fit.edit !== null);
  if (kept.length === 0) {
    return <p>The class is on target with everything at its preferred value. Nothing to change.</p>;
  }
  const rows = rowsOf(kept);
  return (
    <>
      <p>
        Planned {formatClock(runtime)}, target {formatClock(plan.targetSeconds)}. Pinned values stay. Each column is one
        fit; an empty cell does not change.
      </p>
      <div className="my-3 max-h-[52vh] overflow-auto" tabIndex={0} role="region" aria-label="Fits">
        <table className="table-sm table">
          <thead className="bg-base-100 sticky top-0 z-10">
            <tr>
              <th scope="col">What</th>
              <th scope="col" className="text-right">
                Now
              </th>
              {kept.map(({ ways, fit }, at) => (
                <th key={ways[0]} scope="col" className="w-36 text-right align-bottom">
                  {ways.map((way) => (
                    <span key={way} className="text-base-content block font-semibold" title={WAY_WORDS[way].says}>
                      {WAY_WORDS[way].name}
                    </span>
                  ))}
                  <button
                    type="button"
                    className={`btn btn-sm mt-1 ${at === 0 ? 'btn-primary' : ''}`}
                    autoFocus={at === 0}
                    aria-label={`Use this fit: ${ways.map((way) => WAY_WORDS[way].name).join(', ')}`}
                    onClick={() => {
                      if (fit.edit) desk.edit(fit.edit);
                      onClose();
                    }}
                  >
                    Use this fit
                  </button>
                  {!fit.proven && <span className="text-warning block text-xs">best found so far</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, changes }) => {
              const first = changes.find((change) => change !== null);
              if (!first) return null;
              const { what, from } = changeWords(first, nameOf);
              return (
                <tr key={key}>
                  <th scope="row" className="font-normal">
                    {what}
                  </th>
                  <td className="quiet-ink text-right">{from}</td>
                  {changes.map((change, at) => (
                    <td key={itemAt(kept, at).ways[0]} className="text-right">
                      {change && (
                        <>
                          <span className="font-semibold">{changeWords(change, nameOf).to}</span>{' '}
                          <span className="quiet-ink inline-block w-12 text-xs">{secondsWords(change.seconds)}</span>
                        </>
                      )}
                    </td>
                  ))}
                </tr>
              );
            })}
          </tbody>
          <tfoot className="text-base-content">
            <tr>
              <th scope="row">Result</th>
              <td className="text-right">{formatClock(runtime)}</td>
              {kept.map(({ ways, fit }) => (
                <td key={ways[0]} className="text-right font-semibold">
                  {formatClock(fit.runtimeSeconds)}
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      </div>
    </>
  );
}

/** Every thing that some proposal changes, in the order of the class, with each proposal's change of it. */
function rowsOf(
  proposals: readonly Proposal[],
): readonly { readonly key: string; readonly changes: readonly (FitChange | null)[] }[] {
  const keyOf = (change: FitChange): string => change.stepId ?? 'breath';
  const keys = [...new Set(proposals.flatMap(({ fit }) => fit.changes.map(keyOf)))];
  return keys.map((key) => ({
    key,
    changes: proposals.map(({ fit }) => fit.changes.find((change) => keyOf(change) === key) ?? null),
  }));
}

function secondsWords(seconds: number): string {
  return Math.round(seconds) === 0 ? '' : formatDifference(Math.round(seconds));
}

/** Why nothing fits, and the least that would have to give way. */
export function NoFit({ fit, nameOf }: { readonly fit: NotFitted; readonly nameOf: (stepId: string) => string }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const { loosen, enough } = fit;
  return (
    <>
      <p>{whyNot(fit, plan.targetSeconds)}</p>
      {loosen.length > 0 && (
        <>
          <h3 className="mt-4 font-semibold">
            {enough
              ? loosen.length === 1
                ? 'One limit to relax'
                : `${loosen.length} limits to relax; all of them are needed`
              : 'Relaxing all of these would not be enough'}
          </h3>
          <ul>
            {loosen.slice(0, 12).map((one) => (
              <li
                key={`${one.what} ${one.stepId ?? ''}`}
                className="border-base-300 flex items-center justify-between gap-3 border-b py-1"
              >
                <span>{looseningWords(one, nameOf)}</span>
                <span className="flex shrink-0 items-center gap-2">
                  <span className="quiet-ink text-sm">gains {formatClock(one.gainSeconds)}</span>
                  {loosen.length > 1 && (
                    <button type="button" className="btn btn-xs" onClick={() => desk.edit(one.edit)}>
                      Relax this
                    </button>
                  )}
                </span>
              </li>
            ))}
          </ul>
          {enough && (
            <button
              type="button"
              className="btn btn-primary mt-3"
              autoFocus
              onClick={() => desk.edit({ kind: 'together', edits: loosen.map((one) => one.edit) })}
            >
              {loosen.length === 1 ? 'Relax it' : `Relax these ${loosen.length}`}
            </button>
          )}
        </>
      )}
      {loosen.length === 0 && fit.reason !== 'between-rounds' && (
        <p className="mt-2">Add or remove steps to change what is possible.</p>
      )}
    </>
  );
}
