import { useState } from 'react';
import { takenSpelling, TERM_LIMITS, type Term } from '@/core/words';

interface Props {
  readonly own: readonly Term[];
  readonly onKeep: (own: readonly Term[]) => void;
}

/** The studio's own terms, beside the house list. */
export function OwnTerms({ own, onKeep }: Props) {
  const [editing, setEditing] = useState<string | null>(null);
  /** Why it cannot be kept, or `null` once it is. */
  const keep = (term: Term): string | null => {
    const known = own.some((one) => one.term === term.term);
    const next = known ? own.map((one) => (one.term === term.term ? term : one)) : [...own, term];
    const taken = takenSpelling(next);
    if (taken !== null) return `“${taken}” is a spelling of another term already.`;
    onKeep(next);
    setEditing(null);
    return null;
  };
  const fresh: Term = { term: `own-${crypto.randomUUID()}`, variants: [], misheard: [], known: false };
  return (
    <section className="mt-6">
      <h2 className="text-lg font-semibold">Our own terms</h2>
      <p className="quiet-ink mb-2 text-sm">
        Names and words of your style. They are spelled as you choose, explained at first use, and recognised in takes
        that a machine misheard.
      </p>
      <ul>
        {own.map((term) => (
          <li key={term.term} className="flex flex-wrap items-center gap-2 py-1">
            {editing === term.term ? (
              <TermForm term={term} onKeep={keep} onLeave={() => setEditing(null)} />
            ) : (
              <>
                <span className="font-serif text-lg">{term.variants.join(', ')}</span>
                <button type="button" className="btn btn-xs" onClick={() => setEditing(term.term)}>
                  Change<span className="sr-only"> {term.variants[0]}</span>
                </button>
                <button type="button" className="btn btn-xs" onClick={() => onKeep(own.filter((one) => one !== term))}>
                  Remove<span className="sr-only"> {term.variants[0]}</span>
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      {editing === 'new' ? (
        <TermForm term={fresh} onKeep={keep} onLeave={() => setEditing(null)} />
      ) : (
        <button
          type="button"
          className="btn btn-sm btn-outline mt-2"
          disabled={own.length >= TERM_LIMITS.own}
          onClick={() => setEditing('new')}
        >
          Add a term
        </button>
      )}
    </section>
  );
}

interface FormProps {
  readonly term: Term;
  readonly onKeep: (term: Term) => string | null;
  readonly onLeave: () => void;
}

const listOf = (text: string): string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');

function TermForm({ term, onKeep, onLeave }: FormProps) {
  const [first] = useState(term);
  const [variants, setVariants] = useState(first.variants.join(', '));
  const [misheard, setMisheard] = useState(first.misheard.join(', '));
  const [known, setKnown] = useState(first.known);
  const [problem, setProblem] = useState<string | null>(null);
  const written = listOf(variants);
  const heard = listOf(misheard);
  const wrong = whatIsWrong(written, heard);
  return (
    <form
      className="border-base-300 w-full rounded border p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong !== null) setProblem(wrong);
        else setProblem(onKeep({ ...first, variants: written, misheard: heard, known }));
      }}
    >
      <label className="block">
        <span className="text-sm">Spellings, with commas between</span>
        <input
          autoFocus
          className="input w-full font-serif"
          value={variants}
          onChange={(event) => setVariants(event.target.value)}
        />
      </label>
      <label className="mt-2 block">
        <span className="text-sm">What automatic captions write instead</span>
        <input className="input w-full" value={misheard} onChange={(event) => setMisheard(event.target.value)} />
      </label>
      <label className="mt-2 flex min-h-8 items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={known}
          onChange={(event) => setKnown(event.target.checked)}
        />
        Everybody knows it; no explanation needed
      </label>
      {problem !== null && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
      <div className="mt-2 flex gap-2">
        <button type="submit" className="btn btn-sm btn-primary">
          Save
        </button>
        <button type="button" className="btn btn-sm" onClick={onLeave}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function whatIsWrong(variants: readonly string[], misheard: readonly string[]): string | null {
  if (variants.length === 0) return 'Write at least one spelling.';
  if (variants.length > TERM_LIMITS.variants) return `At most ${TERM_LIMITS.variants} spellings.`;
  if (misheard.length > TERM_LIMITS.misheard) return `At most ${TERM_LIMITS.misheard} mishearings.`;
  return [...variants, ...misheard].some((one) => one.length > TERM_LIMITS.characters)
    ? `A term has at most ${TERM_LIMITS.characters} characters.`
    : null;
}
