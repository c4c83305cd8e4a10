import { useMemo } from 'react';
import type { RevisionResponse } from '@/api/history';
import { expandPlan } from '@/core/timeline';
import { formatClock } from '@/core/units';

interface Props {
  readonly open: RevisionResponse | null;
  /** Whether it is what the class is now. */
  readonly now: boolean;
  readonly onRestore: (revision: RevisionResponse) => void;
}

/** A saved state to be looked at: its steps with their times; it becomes the newest save when it is restored. */
export function RevisionView({ open, now, onRestore }: Props) {
  const timeline = useMemo(() => (open ? expandPlan(open.plan) : null), [open]);
  if (!open || !timeline) {
    return (
      <aside aria-label="Saved state" className="quiet-ink">
        Open a saved state to see it. Restoring one saves it anew: nothing that came after it is lost.
      </aside>
    );
  }
  const { plan } = open;
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  return (
    <aside aria-label="Saved state" className="bg-base-100 border-base-300 self-start rounded border p-4">
      <h2 className="text-lg font-semibold">{plan.title}</h2>
      <p className="quiet-ink text-sm">
        save {open.revision} · {formatClock(timeline.runtimeSeconds)} of {formatClock(plan.targetSeconds)} · breath{' '}
        {plan.pace.breathSeconds.toFixed(1)} s
      </p>
      <button type="button" className="btn btn-primary btn-sm my-3" disabled={now} onClick={() => onRestore(open)}>
        {now ? 'This is the class as it stands' : 'Restore this state'}
      </button>
      {plan.sections.map((section) => (
        <section key={section.id} aria-label={section.title}>
          <h3 className="mt-2 font-semibold">{section.title}</h3>
          <ul>
            {section.steps.map((step) => {
              const place = timed.get(step.id);
              const rounds = place && place.rounds > 0 ? `${place.rounds} rounds, ` : '';
              return (
                <li key={step.id} className="flex justify-between gap-3">
                  <span className="truncate">{step.name}</span>
                  <span className="quiet-ink shrink-0">
                    {step.leftOut
                      ? 'left out'
                      : place && `${rounds}${formatClock(place.endSeconds - place.startSeconds)}`}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
    </aside>
  );
}
