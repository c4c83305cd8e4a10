import { useState } from 'react';
import { send } from '@/api/client';
import { hasSpelling, SPELLABLE_TERMS, type Spelling, type Term } from '@/core/words';
import { OwnTerms } from './OwnTerms';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { PageLinks } from '@/ui/parts/PageLinks';

interface Props {
  readonly studio: string;
  readonly first: Spelling;
}

/** The house list: each term with the schools' spellings, one chosen; captions, chapters, guide and print follow it. */
export function Terms({ studio, first }: Props) {
  const [spelling, setSpelling] = useState(first);
  const [said, setSaid] = useState('');
  const save = async (next: Spelling): Promise<string | null> => {
    const before = spelling;
    setSpelling(next);
    const answer = await send('PUT', '/api/terms', next);
    if (!answer.ok) setSpelling(before);
    setSaid(answer.ok ? 'Saved' : answer.problem.detail);
    return answer.ok ? null : answer.problem.detail;
  };
  const choose = (term: string, variant: string | null): void => {
    const { [term]: _, ...others } = spelling.chosen;
    void save({ ...spelling, chosen: variant === null ? others : { ...others, [term]: variant } });
  };
  const keepOwn = (own: readonly Term[]): Promise<string | null> =>
    save({ chosen: stillThere(spelling.chosen, own), own });
  return (
    <div className="mx-auto max-w-3xl px-5 py-4">
      <header className="mb-6 flex flex-wrap items-center gap-4">
        <PageLinks studio={studio} />
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
        <p className="quiet-ink text-sm">Machines mishear it as: {term.misheard.join(', ')}</p>
      )}
    </fieldset>
  );
}
