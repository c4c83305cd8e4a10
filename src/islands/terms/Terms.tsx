import { useState } from 'react';
import { send } from '@/api/client';
import { SPELLABLE_TERMS, type Spelling, type Term } from '@/core/words';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';

interface Props {
  readonly studio: string;
  readonly first: Spelling;
}

/** The house list: each term with the schools' spellings, one chosen; captions, chapters, guide and print follow it. */
export function Terms({ studio, first }: Props) {
  const [chosen, setChosen] = useState(first);
  const [said, setSaid] = useState('');
  const choose = async (term: string, variant: string | null): Promise<void> => {
    const { [term]: _, ...others } = chosen;
    const next: Spelling = variant === null ? others : { ...others, [term]: variant };
    const before = chosen;
    setChosen(next);
    const answer = await send('PUT', '/api/terms', next);
    if (!answer.ok) setChosen(before);
    setSaid(answer.ok ? 'Saved' : answer.problem.detail);
  };
  return (
    <div className="mx-auto max-w-3xl px-5 py-4">
      <header className="mb-6 flex flex-wrap items-center gap-4">
        <span className="font-semibold">{studio}</span>
        <a className="link" href="/">
          Shelf
        </a>
        <span role="status" className="quiet-ink text-sm">
          {said}
        </span>
        <span className="ml-auto">
          <ThemeSwitch />
        </span>
      </header>
      <main>
        <h1 className="mb-1 text-2xl font-semibold">Spelling</h1>
        <p className="mb-4">
          One spelling for each term: the guide, captions, chapters and the printed script follow it. What you write
          stays as you wrote it.
        </p>
        {SPELLABLE_TERMS.map((term) => (
          <TermChoice
            key={term.term}
            term={term}
            chosen={chosen[term.term] ?? null}
            onChoose={(variant) => void choose(term.term, variant)}
          />
        ))}
      </main>
    </div>
  );
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
        <p className="quiet-ink text-sm">Machines mishear it as: {term.misheard.join(', ')}</p>
      )}
    </fieldset>
  );
}
