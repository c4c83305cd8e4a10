import { LIMITS, type TransitionStep } from '@/core/plan';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { StanceChoice } from '@/ui/movement/AboutFields';
import type { SetStepField } from '../inspector/set-field';

/** A change of stance: how long, and what is said. */
export function TransitionFields({
  step,
  set,
}: {
  readonly step: TransitionStep;
  readonly set: SetStepField<TransitionStep>;
}) {
  return (
    <div className="flex flex-col gap-1">
      <NumberField
        label="Minimum length"
        unit="s"
        digits={1}
        step={0.5}
        value={step.seconds}
        min={0}
        max={LIMITS.phaseSeconds.max}
        onChange={(value) => set('seconds', value)}
      />
      <StanceChoice label="Leads to" value={step.stance} onChange={(value) => set('stance', value)} />
      <TextField
        label="What is said"
        spoken
        value={step.line}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('line', value)}
      />
    </div>
  );
}
