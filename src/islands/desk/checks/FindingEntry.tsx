import { useState } from 'react';
import { dismissEdit, type Gathered } from '@/core/checks';
import { LIMITS } from '@/core/plan';
import { findingWords, fixWords } from '@/messages/checks';
import { useDeskStore } from '../use-desk';
import { Place } from './Place';

interface Props {
  readonly gathered: Gathered;
  readonly onFixAll: () => void;
  readonly onFit: () => void;
}

/** One finding: what, where, why, and its fix; the other places where the same was found are folded below it. */
export function FindingEntry({ gathered, onFixAll, onFit }: Props) {
  const [dismissing, setDismissing] = useState(false);
  const { finding, all } = gathered;
  const { title, why } = findingWords(finding);
  return (
    <li className="border-base-300 border-b py-2">
      <div className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">{title}</span>
        <Place finding={finding} />
      </div>
      <p className="text-sm">{why}</p>
      {all.length > 1 && <OtherPlaces gathered={gathered} />}
      {dismissing ? (
        <DismissForm gathered={gathered} onCancel={() => setDismissing(false)} />
      ) : (
        <div className="mt-1 flex flex-wrap gap-1">
          <FixButtons gathered={gathered} onFixAll={onFixAll} onFit={onFit} />
          <button type="button" className="btn btn-xs" onClick={() => setDismissing(true)}>
            Dismiss<span className="sr-only"> {title}</span>
          </button>
        </div>
      )}
    </li>
  );
}

function OtherPlaces({ gathered: { all } }: { readonly gathered: Gathered }) {
  const others = all.slice(1);
  return (
    <details className="text-sm">
      <summary className="quiet-ink min-h-6 cursor-pointer">
        and in {others.length} more {others.length === 1 ? 'place' : 'places'}
      </summary>
      <ul className="ml-3">
        {others.map((other) => (
          <li key={`${other.stepId} ${other.detail}`} className="py-1">
            <Place finding={other} /> <span className="quiet-ink">{findingWords(other).why}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

function FixButtons({ gathered: { finding, all }, onFixAll, onFit }: Props) {
  const desk = useDeskStore();
  const { fix } = finding;
  const words = fixWords(finding.check, fix);
  const fixable = all.filter((one) => one.fix?.kind === 'edit').length;
  return (
    <>
      {fix && words && (
        <button
          type="button"
          className="btn btn-xs btn-primary"
          onClick={() => (fix.kind === 'fit' ? onFit() : desk.edit(fix.edit))}
        >
          {words}
        </button>
      )}
      {fixable > 1 && (
        <button type="button" className="btn btn-xs" onClick={onFixAll}>
          Fix all {fixable}
          <span className="sr-only"> of “{findingWords(finding).title}”</span>
        </button>
      )}
    </>
  );
}

function DismissForm({ gathered, onCancel }: { readonly gathered: Gathered; readonly onCancel: () => void }) {
  const desk = useDeskStore();
  const [reason, setReason] = useState('');
  const { title } = findingWords(gathered.finding);
  return (
    <form
      className="mt-1 flex flex-wrap items-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') desk.edit(dismissEdit(desk.getState().plan, gathered.all, reason.trim()));
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
          onCancel();
        }}
      />
      <button type="submit" className="btn btn-sm" disabled={reason.trim() === ''}>
        Dismiss{gathered.all.length > 1 && ` all ${gathered.all.length}`}
      </button>
    </form>
  );
}
