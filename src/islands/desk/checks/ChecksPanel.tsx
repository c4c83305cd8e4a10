import { X } from 'lucide-react';
import { fixAllEdit, GRAVITIES, dismissEdit, kindOf, type Gathered } from '@/core/checks';
import { findingWords, GRAVITY_WORDS } from '@/messages/checks';
import { useDeskStore } from '../use-desk';
import { FindingEntry } from './FindingEntry';
import { Place } from './Place';
import type { Findings } from './use-findings';

interface Props {
  readonly findings: Findings;
  readonly onFit: () => void;
  readonly onClose: () => void;
}

/** What a careful colleague would say of the class: by gravity, each with its place, its reason and its fix. */
export function ChecksPanel({ findings, onFit, onClose }: Props) {
  const desk = useDeskStore();
  const { of: checked, open, dismissed, check } = findings;
  return (
    <aside aria-label="Checks" className="p-4">
      <div className="flex items-center justify-between">
        <h2 className="text-lg font-semibold">Checks</h2>
        <button type="button" className="btn btn-sm btn-square" aria-label="Close the checks" onClick={onClose}>
          <X size={16} aria-hidden />
        </button>
      </div>
      {open.length === 0 && <p role="status">{checked ? 'The checks found nothing to fix.' : 'Checking…'}</p>}
      {GRAVITIES.map((gravity) => {
        const of = open.filter(({ finding }) => finding.gravity === gravity);
        if (of.length === 0) return null;
        return (
          <section key={gravity} aria-label={GRAVITY_WORDS[gravity]}>
            <h3 className="mt-3 font-semibold">
              {GRAVITY_WORDS[gravity]} <span className="quiet-ink font-normal">{of.length}</span>
            </h3>
            <ul>
              {of.map((gathered) => (
                <FindingEntry
                  key={kindOf(gathered.finding)}
                  gathered={gathered}
                  onFixAll={() => {
                    const edit = check && fixAllEdit(desk.getState().plan, check, gathered.finding);
                    if (edit) desk.edit(edit);
                  }}
                  onFit={onFit}
                />
              ))}
            </ul>
          </section>
        );
      })}
      {dismissed.length > 0 && (
        <section aria-label="Dismissed">
          <h3 className="mt-3 font-semibold">
            Dismissed <span className="quiet-ink font-normal">{dismissed.length}</span>
          </h3>
          <ul>
            {dismissed.map(({ gathered, reason }) => (
              <SetAsideEntry key={`${kindOf(gathered.finding)} ${reason}`} gathered={gathered} reason={reason} />
            ))}
          </ul>
        </section>
      )}
      <p className="quiet-ink mt-4 text-sm">
        Cautions are reminders. A doctor, licensed practice and local rules come first; nothing here says that something
        is right for a person.
      </p>
    </aside>
  );
}

function SetAsideEntry({ gathered, reason }: { readonly gathered: Gathered; readonly reason: string }) {
  const desk = useDeskStore();
  const { finding, all } = gathered;
  const { title } = findingWords(finding);
  return (
    <li className="border-base-300 border-b py-2">
      <div className="flex items-baseline justify-between gap-2">
        <span>
          {title}
          {all.length > 1 && ` (${all.length} places)`}
        </span>
        <Place finding={finding} />
      </div>
      <p className="text-sm">{reason}</p>
      <button
        type="button"
        className="btn btn-xs mt-1"
        onClick={() => desk.edit(dismissEdit(desk.getState().plan, all, null))}
      >
        Reopen<span className="sr-only"> {title}</span>
      </button>
    </li>
  );
}
