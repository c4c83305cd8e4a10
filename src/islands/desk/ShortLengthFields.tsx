import { PRIORITIES } from '@/core/movement';
import { COMPANIONS, findStep, leaveOutEdit, mayLeaveOut, type Companion, type Step } from '@/core/plan';
import { PRIORITY_WORDS } from '@/messages/movement';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import type { SetField } from './set-field';
import { useDesk, useDeskStore } from './use-desk';

const COMPANION_WORDS: Readonly<Record<Companion, string>> = {
  none: 'by itself',
  next: 'with the step after it',
  previous: 'with the step before it',
};

/** Whether a step is in this class, and how it may go from a short one. */
export function ShortLengthFields({ step, set }: { readonly step: Step; readonly set: SetField }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const role = findStep(plan, step.id)?.section.role ?? 'main';
  const kept = step.priority !== 'always' && !mayLeaveOut(step, role);
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">In short lengths</legend>
      <CheckBox
        label="Skipped in this class"
        checked={step.leftOut}
        onChange={(out) => desk.edit(leaveOutEdit(desk.getState().plan, step.id, out))}
      />
      {step.kind !== 'movement' && (
        <>
          <Choice
            label="May be skipped"
            value={step.priority}
            options={PRIORITIES.map((value) => ({ value, label: PRIORITY_WORDS[value] }))}
            onChange={(value) => set('priority', value)}
          />
          <Choice
            label="Skipped"
            value={step.goesWith}
            options={COMPANIONS.map((value) => ({ value, label: COMPANION_WORDS[value] }))}
            onChange={(value) => set('goesWith', value)}
          />
        </>
      )}
      {kept && <p className="quiet-ink text-sm">Arrival, cautions and closing are never skipped.</p>}
    </fieldset>
  );
}
