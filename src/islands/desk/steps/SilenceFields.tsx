import { LIMITS, type SilenceStep } from '@/core/plan';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { DuringLines } from '@/ui/movement/DuringLines';
import { TimeBounds } from '@/ui/movement/TimeBounds';
import { StanceChoice } from '@/ui/movement/AboutFields';
import type { SetStepField } from '../inspector/set-field';
import { useAskFor } from './use-ask-for';

/** A silence: how long, within what, and what is said around it. */
export function SilenceFields({ step, set }: { readonly step: SilenceStep; readonly set: SetStepField<SilenceStep> }) {
  const bounds = LIMITS.countedSeconds;
  const setLength = useAskFor(step);
  return (
    <div className="flex flex-col gap-1">
      <ClockField label="Length" seconds={step.seconds} min={bounds.min} max={bounds.max} onChange={setLength} />
      <TimeBounds timed={step} set={set} />
      <CheckBox label="Pin this length" checked={step.pinned} onChange={(pinned) => set('pinned', pinned)} />
      <CheckBox label="Eyes closed" checked={step.eyesClosed} onChange={(value) => set('eyesClosed', value)} />
      <StanceChoice label="Stance" value={step.stance} onChange={(value) => set('stance', value)} />
      <TextField
        label="Said at the start"
        spoken
        value={step.openingLine}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('openingLine', value)}
      />
      <DuringLines
        title="While it lasts"
        led={false}
        sided={false}
        lines={step.during}
        onChange={(during) => set('during', during)}
      />
      <TextField
        label="Reassurance, repeated"
        spoken
        value={step.reassuranceLine}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('reassuranceLine', value)}
      />
      {step.reassuranceLine !== '' && (
        <NumberField
          label="every"
          unit="s"
          step={5}
          value={step.reassuranceEverySeconds}
          {...LIMITS.reassuranceSeconds}
          onChange={(value) => set('reassuranceEverySeconds', value)}
        />
      )}
      <TextField
        label="Call back at the end"
        spoken
        value={step.callBackLine}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('callBackLine', value)}
      />
      {step.callBackLine !== '' && (
        <NumberField
          label="before the end"
          unit="s"
          digits={1}
          step={0.5}
          value={step.callBackLeadSeconds}
          {...LIMITS.callBackLeadSeconds}
          onChange={(value) => set('callBackLeadSeconds', value)}
        />
      )}
    </div>
  );
}
