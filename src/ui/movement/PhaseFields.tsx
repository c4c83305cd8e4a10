import { PHASE_WORDS } from '@/messages/movement';
import { MOVEMENT_LIMITS as LIMITS, type Phase } from '@/core/movement';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';

interface Props {
  readonly phase: Phase;
  readonly place: number;
  readonly seconds: number;
  readonly breathSeconds: number;
  readonly onChange: (part: Partial<Phase>) => void;
}

/** One phase of a round: how long it is, what is done, and what is said in each form. */
export function PhaseFields({ phase, place, seconds, breathSeconds, onChange }: Props) {
  const how = phase.seconds !== null ? 'seconds' : phase.share !== null ? 'share' : 'class';
  const canFollowClass = phase.kind === 'inhale' || phase.kind === 'exhale';
  const lengths = [
    ...(canFollowClass ? [{ value: 'class' as const, label: 'class’s share' }] : []),
    { value: 'share' as const, label: 'own share' },
    { value: 'seconds' as const, label: 'own seconds' },
  ];
  return (
    <div className="border-base-300 mt-2 border-t pt-1">
      <div className="flex items-center justify-between gap-1">
        <span className="font-semibold">
          {place} · {PHASE_WORDS[phase.kind]}
        </span>
        <Choice
          label={`Length of phase ${place}`}
          hideLabel
          value={how}
          options={lengths}
          onChange={(value) =>
            onChange({
              share: value === 'share' ? Math.max(LIMITS.share.min, round(seconds / breathSeconds, 100)) : null,
              seconds: value === 'seconds' ? Math.max(LIMITS.phaseSeconds.min, round(seconds, 10)) : null,
            })
          }
        />
      </div>
      {how === 'share' && (
        <NumberField
          label="Share of a breath"
          unit="%"
          value={Math.round((phase.share ?? 0) * 100)}
          min={LIMITS.share.min * 100}
          max={LIMITS.share.max * 100}
          onChange={(value) => onChange({ share: value / 100 })}
        />
      )}
      {how === 'seconds' && (
        <NumberField
          label="Seconds"
          unit="s"
          digits={1}
          step={0.1}
          value={phase.seconds ?? 0}
          {...LIMITS.phaseSeconds}
          onChange={(value) => onChange({ seconds: value })}
        />
      )}
      <TextField
        label="Action"
        value={phase.action}
        max={LIMITS.titleCharacters}
        onChange={(action) => onChange({ action })}
      />
      {(['full', 'short', 'breath'] as const).map((form) => (
        <TextField
          key={form}
          label={`Said, ${form}`}
          spoken
          value={phase[form]}
          max={LIMITS.lineCharacters}
          onChange={(text) => onChange({ [form]: text })}
        />
      ))}
      <CheckBox
        label="Own lead"
        checked={phase.leadSeconds !== null}
        onChange={(own) => onChange({ leadSeconds: own ? 0.8 : null })}
      />
      {phase.leadSeconds !== null && (
        <NumberField
          label="Lead before the phase"
          unit="s"
          digits={1}
          step={0.1}
          value={phase.leadSeconds}
          {...LIMITS.leadSeconds}
          onChange={(leadSeconds) => onChange({ leadSeconds })}
        />
      )}
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label="From round"
          value={phase.fromRound}
          min={1}
          max={phase.toRound ?? LIMITS.rounds}
          onChange={(fromRound) => onChange({ fromRound })}
        />
        <CheckBox
          label="Ends before the last"
          checked={phase.toRound !== null}
          onChange={(ends) => onChange({ toRound: ends ? phase.fromRound : null })}
        />
      </div>
      {phase.toRound !== null && (
        <NumberField
          label="To round"
          value={phase.toRound}
          min={phase.fromRound}
          max={LIMITS.rounds}
          onChange={(toRound) => onChange({ toRound })}
        />
      )}
    </div>
  );
}

function round(value: number, parts: number): number {
  return Math.round(value * parts) / parts;
}
