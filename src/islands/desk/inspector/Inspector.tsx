import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';
import { blockEdit, blockOf, copyStep, findStep, isMovement, LIMITS, setStep, type Edit, type Step } from '@/core/plan';
import type { TimedStep } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { TextField } from '@/ui/parts/TextField';
import { ClassFields } from './ClassFields';
import { GroupFields } from './GroupFields';
import { LibraryNotice } from './LibraryNotice';
import { moveStepBy } from '../timeline/moves';
import type { SetStepField } from './set-field';
import { viewOf } from '../steps';
import { ShortLengthFields } from '../steps/ShortLengthFields';
import { useDesk, useDeskStore } from '../use-desk';

/** Everything about the chosen step, or about the class when none is chosen. */
export function Inspector({ onWords }: { readonly onWords: () => void }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const selectedId = useDesk((state) => state.selectedId);
  const grouped = useDesk((state) => state.group.length > 1);
  const timed = useDesk((state) => state.timeline.steps.find((step) => step.step === selectedId));
  const found = selectedId === null ? null : findStep(plan, selectedId);
  if (grouped) return <GroupFields />;
  if (!found || !timed) {
    return (
      <aside aria-label="The class" className="p-4">
        <ClassFields onWords={onWords} />
      </aside>
    );
  }
  const { step } = found;
  const set: SetStepField<Step> = (...change) => desk.edit(setStep(step, ...change), `${step.id} ${change[0]}`);
  return (
    <aside aria-label={`Step: ${step.name}`} className="p-4">
      <button type="button" className="btn btn-xs mb-2" onClick={() => desk.select(null)}>
        The whole class
      </button>
      <StepHead step={step} timed={timed} set={set} />
      <BlockNotice step={step} />
      {isMovement(step) && <LibraryNotice key={`library ${step.id}`} step={step} />}
      <KindFields key={step.id} step={step} timed={timed} />
      <ShortLengthFields step={step} />
    </aside>
  );
}

/** That the step is part of a block, and the way out of it. */
function BlockNotice({ step }: { readonly step: Step }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  if (step.blockId === null) return null;
  const others = blockOf(plan, step).filter(({ id }) => id !== step.id);
  const dissolve = (): void => {
    const edit = blockEdit([step, ...others], null);
    if (edit) desk.edit(edit);
  };
  return (
    <p className="bg-base-200 my-2 flex items-center justify-between gap-2 rounded p-2 text-sm">
      <span>
        Done again on the other side
        {others.length > 0 && `, together with ${others.map(({ name }) => name).join(', ')}`}.
      </span>
      <button type="button" className="btn btn-xs" onClick={dissolve}>
        Once only
      </button>
    </p>
  );
}

/** The fields that only its kind has. */
function KindFields<One extends Step>({ step, timed }: { readonly step: One; readonly timed: TimedStep }) {
  const desk = useDeskStore();
  const { Fields } = viewOf(step);
  return (
    <Fields
      step={step}
      timed={timed}
      set={(...change) => desk.edit(setStep(step, ...change), `${step.id} ${String(change[0])}`)}
    />
  );
}

interface HeadProps {
  readonly step: Step;
  readonly timed: TimedStep;
  readonly set: SetStepField<Step>;
}

function StepHead({ step, timed, set }: HeadProps) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const move = (by: -1 | 1): Edit | null => moveStepBy(plan, step.id, by);
  const up = move(-1);
  const down = move(1);
  return (
    <>
      <TextField
        key={step.id}
        label="Name"
        hideLabel
        needed
        className="text-lg font-semibold"
        value={step.name}
        max={LIMITS.titleCharacters}
        onChange={(name) => set('name', name)}
      />
      <p className="quiet-ink px-1 text-sm">
        from {formatClock(timed.startSeconds)} to {formatClock(timed.endSeconds)}
      </p>
      <div className="my-2 flex gap-1" role="group" aria-label="Order and copies">
        <button
          type="button"
          className="btn btn-sm btn-square"
          aria-label="Move up"
          title="Move up"
          disabled={!up}
          onClick={() => up && desk.edit(up)}
        >
          <ArrowUp size={16} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-sm btn-square"
          aria-label="Move down"
          title="Move down"
          disabled={!down}
          onClick={() => down && desk.edit(down)}
        >
          <ArrowDown size={16} aria-hidden />
        </button>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            const found = findStep(plan, step.id);
            if (!found) return;
            const copy = copyStep(() => crypto.randomUUID(), step);
            desk.edit({ kind: 'insert-step', sectionId: found.section.id, index: found.index + 1, step: copy });
            desk.select(copy.id);
          }}
        >
          <Copy size={14} aria-hidden />
          Duplicate
        </button>
        <button
          type="button"
          className="btn btn-sm text-error"
          onClick={() => {
            desk.edit({ kind: 'remove-step', stepId: step.id });
            desk.select(null);
          }}
        >
          <Trash2 size={14} aria-hidden />
          Remove
        </button>
      </div>
    </>
  );
}
