import { useState } from 'react';
import { stepsInOrder, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { Dialog } from '@/ui/parts/Dialog';
import { useDesk } from '../use-desk';

/** Two places changed one class: keep mine, take theirs, or look at both. Nothing is lost until one is chosen. */
export function ConflictDialog({ onSettle }: { readonly onSettle: (keep: 'ours' | 'theirs') => void }) {
  const save = useDesk((state) => state.save);
  const mine = useDesk((state) => state.plan);
  const [later, setLater] = useState(false);
  const [both, setBoth] = useState(false);
  if (save.kind !== 'conflict') return null;
  const { document: theirs } = save.theirs;
  if (later) {
    return (
      <button type="button" className="btn btn-sm btn-accent" onClick={() => setLater(false)}>
        Changed elsewhere: choose
      </button>
    );
  }
  return (
    <Dialog title="Changed in two places" wide={both} onClose={() => setLater(true)}>
      <p>
        This class was saved in another window or by somebody else since you opened it. Both versions are safe. Which
        one should stand?
      </p>
      {both && theirs && (
        <div className="my-3 grid grid-cols-2 gap-4">
          <Version title="Mine" plan={mine} other={theirs} />
          <Version title="Theirs" plan={theirs} other={mine} />
        </div>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={() => onSettle('ours')}>
          Keep mine
        </button>
        <button type="button" className="btn" onClick={() => onSettle('theirs')}>
          Use theirs
        </button>
        {!both && theirs && (
          <button type="button" className="btn" onClick={() => setBoth(true)}>
            Compare both
          </button>
        )}
      </div>
      <p className="quiet-ink mt-3 text-sm">The server has every saved version.</p>
    </Dialog>
  );
}

function Version({
  title,
  plan,
  other,
}: {
  readonly title: string;
  readonly plan: ClassPlan;
  readonly other: ClassPlan;
}) {
  const there = new Map(stepsInOrder(other).map(({ step }) => [step.id, JSON.stringify(step)]));
  return (
    <section aria-label={title} className="border-base-300 rounded border p-3">
      <h3 className="font-semibold">{title}</h3>
      <p>
        {plan.title} · {formatClock(expandPlan(plan).runtimeSeconds)} of {formatClock(plan.targetSeconds)}
      </p>
      <ol className="mt-2 max-h-64 overflow-y-auto text-sm">
        {stepsInOrder(plan).map(({ step }) => {
          const counterpart = there.get(step.id);
          const mark = counterpart === undefined ? 'only here' : counterpart === JSON.stringify(step) ? '' : 'differs';
          return (
            <li key={step.id} className="flex justify-between gap-2">
              <span>
                {step.name}
                {'rounds' in step ? `, ${step.rounds} rounds` : ''}
              </span>
              {mark && <span className="text-accent font-semibold">{mark}</span>}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
