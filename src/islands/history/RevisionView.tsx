import { format, parseISO } from 'date-fns';
import { useMemo, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import type { RevisionResponse } from '@/api/history';
import { comparePlans, LIMITS } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { planChangeWords } from '@/messages/history';

interface Props {
  readonly open: RevisionResponse | null;
  /** The class as it is now. */
  readonly current: ClassResponse;
  readonly onNamed: (revision: number, name: string | null) => void;
  readonly onRestore: (revision: RevisionResponse) => void;
}

/** A saved version: its steps with their times, its name, what is different now; restoring it saves it as the newest. */
export function RevisionView({ open, current, onNamed, onRestore }: Props) {
  const timeline = useMemo(() => (open ? expandPlan(open.plan) : null), [open]);
  const changes = useMemo(() => (open ? comparePlans(open.plan, current.plan) : []), [open, current]);
  if (!open || !timeline) {
    return (
      <aside aria-label="Saved version" className="bg-base-100 self-start rounded p-4">
        Open a version to see it, to name it, and to compare it with the class as it is now. Restoring one saves it as
        the newest: nothing that came after it is lost.
      </aside>
    );
  }
  const now = open.revision === current.revision;
  const { plan } = open;
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  return (
    <aside aria-label="Saved version" className="bg-base-100 border-base-300 self-start rounded border p-4">
      <h2 className="text-lg font-semibold">{open.name ?? plan.title}</h2>
      <p className="quiet-ink text-sm">
        saved {format(parseISO(open.savedAt), 'd MMM yyyy, HH:mm:ss')} · {formatClock(timeline.runtimeSeconds)}, target{' '}
        {formatClock(plan.targetSeconds)} · breath {plan.pace.breathSeconds.toFixed(1)} s
      </p>
      <button type="button" className="btn btn-primary btn-sm my-3" disabled={now} onClick={() => onRestore(open)}>
        {now ? 'This is the class as it is now' : 'Restore this version'}
      </button>
      <NameField
        key={open.revision}
        classId={current.id}
        open={open}
        onNamed={(name) => onNamed(open.revision, name)}
      />
      {!now && (
        <section aria-label="Compared with now" className="my-3">
          <h3 className="font-semibold">Changed since then</h3>
          {changes.length === 0 && <p className="quiet-ink">Nothing: this version is the same as the class now.</p>}
          <ul className="max-h-48 overflow-y-auto">
            {changes.map((change, index) => (
              <li key={index}>{planChangeWords(change)}</li>
            ))}
          </ul>
        </section>
      )}
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
                    {step.skipped
                      ? 'skipped'
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

interface NameProps {
  readonly classId: string;
  readonly open: RevisionResponse;
  readonly onNamed: (name: string | null) => void;
}

function NameField({ classId, open, onNamed }: NameProps) {
  const [typed, setTyped] = useState(open.name ?? '');
  const [trouble, setTrouble] = useState<string | null>(null);
  const name = typed.trim();
  const save = async (): Promise<void> => {
    const answer = await send('PUT', `/api/classes/${classId}/revisions/${open.revision}`, { name });
    setTrouble(answer.ok ? null : answer.problem.detail);
    if (answer.ok) onNamed(name === '' ? null : name);
  };
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <label className="flex min-w-0 flex-1 flex-col text-sm">
        Name of this version
        <input
          className="input input-sm w-full"
          value={typed}
          maxLength={LIMITS.titleCharacters}
          autoComplete="off"
          placeholder="As taught on Monday"
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <button type="submit" className="btn btn-sm" disabled={name === (open.name ?? '')}>
        Save name
      </button>
      {trouble && (
        <span role="alert" className="text-error text-sm">
          {trouble}
        </span>
      )}
    </form>
  );
}
