import { PRIORITIES } from '@/core/movement';
import { COMPANIONS, findStep, skipEdit, maySkip, setStep, type Companion, type Step } from '@/core/plan';
import { PRIORITY_WORDS } from '@/messages/movement';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { useDesk, useDeskStore } from '../use-desk';

const COMPANION_WORDS: Readonly<Record<Companion, string>> = {
  none: 'by itself',
  next: 'with the step after it',
  previous: 'with the step before it',
};

/** Whether a step is in this class, and how it may go from a short one. */
export function ShortLengthFields({ step }: { readonly step: Step }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const role = findStep(plan, step.id)?.section.role ?? 'main';
  const kept = step.priority !== 'always' && !maySkip(step, role);
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">In short lengths</legend>
      <CheckBox
        label="Skipped in this class"
        checked={step.skipped}
        onChange={(out) => desk.edit(skipEdit(desk.getState().plan, step.id, out))}
      />
      {'goesWith' in step && (
        <>
          <Choice
            label="May be skipped"
            value={step.priority}
            options={PRIORITIES.map((value) => ({ value, label: PRIORITY_WORDS[value] }))}
            onChange={(value) => desk.edit(setStep(step, 'priority', value))}
          />
          <Choice
            label="Skipped"
            value={step.goesWith}
            options={COMPANIONS.map((value) => ({ value, label: COMPANION_WORDS[value] }))}
            onChange={(value) => desk.edit(setStep(step, 'goesWith', value))}
          />
        </>
      )}
      {kept && <p className="quiet-ink text-sm">Arrival, cautions and closing are never skipped.</p>}
    </fieldset>
  );
}
