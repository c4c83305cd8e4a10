import { useState } from 'react';
import { findStep } from '@/core/plan';
import { fitWords, type FormChange } from '@/core/script';
import { FORM_WORDS } from '@/messages/movement';
import { useDesk, useDeskStore } from '../use-desk';

/** Shortens the words of rounds whose lines do not fit their breath, of one movement or of all, and says what changed. */
export function FitWords({ stepId }: { readonly stepId: string | null }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const [said, setSaid] = useState<{ readonly of: typeof plan; readonly changes: readonly FormChange[] } | null>(null);
  const fit = (): void => {
    const state = desk.getState();
    const { edit, changes } = fitWords(state.plan, state.timeline, { stepId });
    if (edit) desk.edit(edit);
    setSaid({ of: desk.getState().plan, changes });
  };
  // What it changed is told until the next edit.
  const told = said?.of === plan ? said.changes : null;
  return (
    <div className="my-2">
      <button type="button" className="btn btn-sm btn-outline" onClick={fit}>
        {stepId === null ? 'Fit the words of the class' : 'Fit the words'}
      </button>
      <div role="status" className="text-sm">
        {told && told.length === 0 && <p>Every line fits its breath. Nothing changed.</p>}
        {told && told.length > 0 && (
          <ul className="mt-1">
            {told.map(({ stepId: id, round, from, to }) => (
              <li key={`${id} ${round}`}>
                {stepId === null && `${findStep(plan, id)?.step.name ?? ''}, `}round {round}: {FORM_WORDS[from]} became{' '}
                {FORM_WORDS[to]}
              </li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
