import { X } from 'lucide-react';
import { useState } from 'react';
import { fixAllEdit, GRAVITIES, dismissEdit, type Finding } from '@/core/checks';
import { findStep, LIMITS } from '@/core/plan';
import { findingWords, fixWords, GRAVITY_WORDS } from '@/messages/checks';
import { useDesk, useDeskStore } from '../use-desk';
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
        const of = open.filter((finding) => finding.gravity === gravity);
        if (of.length === 0) return null;
        return (
          <section key={gravity} aria-label={GRAVITY_WORDS[gravity]}>
            <h3 className="mt-3 font-semibold">
              {GRAVITY_WORDS[gravity]} <span className="quiet-ink font-normal">{of.length}</span>
            </h3>
            <ul>
              {of.map((finding, at) => (
                <FindingEntry
                  key={keyOf(finding)}
                  finding={finding}
                  // Said once, with the first of a kind.
                  alike={of[at - 1]?.check === finding.check ? 0 : fixable(of, finding)}
                  onFixAll={() => {
                    const edit = check && fixAllEdit(desk.getState().plan, check, finding.check);
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
            {dismissed.map(({ finding, reason }) => (
              <SetAsideEntry key={keyOf(finding)} finding={finding} reason={reason} />
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

/** Findings of the same kind that a press can fix. */
function fixable(findings: readonly Finding[], { check }: Finding): number {
  return findings.filter((one) => one.check === check && one.fix?.kind === 'edit').length;
}

function keyOf({ check, stepId, detail }: Finding): string {
  return `${check} ${stepId} ${detail}`;
}

/** The place of a finding, to be gone to. */
function Place({ finding }: { readonly finding: Finding }) {
  const desk = useDeskStore();
  const name = useDesk((state) =>
    finding.stepId === null ? null : (findStep(state.plan, finding.stepId)?.step.name ?? null),
  );
  if (name === null || finding.stepId === null) return <span className="quiet-ink text-sm">the whole class</span>;
  const { stepId } = finding;
  return (
    <button
      type="button"
      className="link link-hover min-h-6 text-left text-sm"
      onClick={() => {
        desk.select(stepId);
        document.getElementById(`step-${stepId}`)?.scrollIntoView({ block: 'center' });
      }}
    >
      {name}
    </button>
  );
}

interface EntryProps {
  readonly finding: Finding;
  /** Findings of its kind that can be fixed together, where it is the first of them. */
  readonly alike: number;
  readonly onFixAll: () => void;
  readonly onFit: () => void;
}

function FindingEntry({ finding, alike, onFixAll, onFit }: EntryProps) {
  const desk = useDeskStore();
  const [reason, setReason] = useState<string | null>(null);
  const { title, why } = findingWords(finding);
  const { fix } = finding;
  const words = fixWords(finding.check, fix);
  const dismissed = (): void => {
    const text = (reason ?? '').trim();
    if (text === '') return;
    desk.edit(dismissEdit(desk.getState().plan, finding, text));
  };
  return (
    <li className="border-base-300 border-b py-2">
      <div className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">{title}</span>
        <Place finding={finding} />
      </div>
      <p className="text-sm">{why}</p>
      {reason === null ? (
        <div className="mt-1 flex flex-wrap gap-1">
          {fix && words && (
            <button
              type="button"
              className="btn btn-xs btn-primary"
              onClick={() => (fix.kind === 'fit' ? onFit() : desk.edit(fix.edit))}
            >
              {words}
            </button>
          )}
          {alike > 1 && (
            <button type="button" className="btn btn-xs" onClick={onFixAll}>
              Fix all {alike}
              <span className="sr-only"> of “{title}”</span>
            </button>
          )}
          <button type="button" className="btn btn-xs" onClick={() => setReason('')}>
            Dismiss<span className="sr-only"> {title}</span>
          </button>
        </div>
      ) : (
        <form
          className="mt-1 flex flex-wrap items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            dismissed();
          }}
        >
          <input
            type="text"
            className="input input-sm flex-1"
            aria-label={`Why “${title}” is dismissed`}
            placeholder="Reason"
            maxLength={LIMITS.noteCharacters}
            value={reason}
            ref={(element) => element?.focus()}
            onChange={(event) => setReason(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              event.stopPropagation();
              setReason(null);
            }}
          />
          <button type="submit" className="btn btn-sm" disabled={reason.trim() === ''}>
            Dismiss
          </button>
        </form>
      )}
    </li>
  );
}

function SetAsideEntry({ finding, reason }: { readonly finding: Finding; readonly reason: string }) {
  const desk = useDeskStore();
  const { title } = findingWords(finding);
  return (
    <li className="border-base-300 border-b py-2">
      <div className="flex items-baseline justify-between gap-2">
        <span>{title}</span>
        <Place finding={finding} />
      </div>
      <p className="text-sm">{reason}</p>
      <button
        type="button"
        className="btn btn-xs mt-1"
        onClick={() => desk.edit(dismissEdit(desk.getState().plan, finding, null))}
      >
        Reopen<span className="sr-only"> {title}</span>
      </button>
    </li>
  );
}
