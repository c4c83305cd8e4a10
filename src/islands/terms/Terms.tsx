import { useEffect, useRef, useState } from 'react';
import { startSaving, type SaveState, type Saving } from '@/editing/saving';
import { ConflictChoice } from '@/ui/parts/ConflictChoice';
import { SAVE_WORDS } from '@/messages/saving';
import { IssueList } from '@/ui/parts/IssueList';
import { hasSpelling, SPELLABLE_TERMS, type Spelling, type Term } from '@/core/words';
import { OwnTerms } from './OwnTerms';
import { AppHead } from '@/ui/layout/AppHead';

interface Props {
  readonly studio: string;
  readonly first: Spelling & { readonly revision: number };
}

/** The house list: each term with the style' spellings, one chosen; captions, chapters, guide and print follow it. */
export function Terms({ studio, first }: Props) {
  const [spelling, setSpelling] = useState<Spelling>({ chosen: first.chosen, own: first.own });
  const [state, setState] = useState<SaveState<Spelling>>({ kind: 'saved' });
  const saving = useRef<Saving<Spelling> | null>(null);
  useEffect(() => {
    const started = startSaving<Spelling>({
      kind: 'spelling',
      id: 'studio',
      path: '/api/terms',
      revision: first.revision,
      stored: { chosen: first.chosen, own: first.own },
      bodyOf: ({ chosen, own }) => ({ chosen, own }),
      theirsOf: (current) => {
        const { revision, chosen, own } = current as Props['first'];
        return { revision, document: { chosen, own } };
      },
      read: asSpelling,
      onState: setState,
    });
    saving.current = started;
    void started.takeUp().then((draft) => draft && setSpelling(draft));
    return started.stop;
  }, [first]);
  const save = (next: Spelling): void => {
    setSpelling(next);
    saving.current?.changed(next);
  };
  const settle = (keep: 'ours' | 'theirs'): void => {
    if (keep === 'theirs' && state.kind === 'conflict' && state.theirs.document) setSpelling(state.theirs.document);
    void saving.current?.settle(keep);
  };
  const choose = (term: string, variant: string | null): void => {
    const { [term]: _, ...others } = spelling.chosen;
    save({ ...spelling, chosen: variant === null ? others : { ...others, [term]: variant } });
  };
  const keepOwn = (own: readonly Term[]): void => save({ chosen: stillThere(spelling.chosen, own), own });
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead
        studio={studio}
        title="Spelling"
        beside={
          <span role="status" className="quiet-ink text-sm">
            {SAVE_WORDS[state.kind]}
          </span>
        }
      />
      <main id="main" tabIndex={-1} className="max-w-3xl">
        {state.kind === 'conflict' && (
          <div role="alert" className="border-accent mb-4 border-l-4 px-3 py-2">
            <ConflictChoice what="The spelling was changed" onSettle={settle} />
          </div>
        )}
        {state.kind === 'refused' && (
          <div role="alert" className="border-error mb-4 border-l-4 px-3 py-2">
            Not saved. <IssueList issues={state.issues} />
          </div>
        )}
        <p className="mb-4">
          One spelling for each term: the prompter, captions, chapters and the printed script use it. Your own text
          stays as you wrote it.
        </p>
        {[...SPELLABLE_TERMS, ...spelling.own].map((term) => (
          <TermChoice
            key={term.term}
            term={term}
            chosen={spelling.chosen[term.term] ?? null}
            onChoose={(variant) => choose(term.term, variant)}
          />
        ))}
        <OwnTerms own={spelling.own} onKeep={keepOwn} />
      </main>
    </div>
  );
}

/** A draft of our own making; whether its terms are in order is seen by the server. */
function asSpelling(raw: unknown): Spelling | null {
  if (typeof raw !== 'object' || raw === null) return null;
  const { chosen, own } = raw as Partial<Spelling>;
  return typeof chosen === 'object' && chosen !== null && Array.isArray(own) ? { chosen, own } : null;
}

/** What is chosen of terms and spellings that there still are. */
function stillThere(chosen: Spelling['chosen'], own: readonly Term[]): Spelling['chosen'] {
  return Object.fromEntries(Object.entries(chosen).filter(([term, variant]) => hasSpelling(own, term, variant)));
}

interface ChoiceProps {
  readonly term: Term;
  readonly chosen: string | null;
  readonly onChoose: (variant: string | null) => void;
}

function TermChoice({ term, chosen, onChoose }: ChoiceProps) {
  const option = (value: string | null, label: string) => (
    <label key={label} className="flex min-h-8 items-center gap-2">
      <input
        type="radio"
        className="radio radio-sm"
        name={term.term}
        checked={chosen === value}
        onChange={() => onChoose(value)}
      />
      <span className={value === null ? 'quiet-ink' : 'font-serif text-lg'}>{label}</span>
    </label>
  );
  return (
    <fieldset className="border-base-300 border-b py-2">
      <legend className="sr-only">{term.variants.join(', ')}</legend>
      <div className="flex flex-wrap gap-x-6">
        {term.variants.map((variant) => option(variant, variant))}
        {option(null, 'as written')}
      </div>
      {term.misheard.length > 0 && (
        <p className="quiet-ink text-sm">Automatic captions write: {term.misheard.join(', ')}</p>
      )}
    </fieldset>
  );
}
