import { Plus, Trash2 } from 'lucide-react';
import { FORMS, LIMITS, makePhase, SIDE_PLANS, type Form, type MovementStep, type Phase } from '@/core/plan';
import { moreRoundsSeconds, TOKENS, type TimedStep } from '@/core/timeline';
import { formatClock, formatDifference } from '@/core/units';
import { Choice } from '@/ui/parts/Choice';
import { Counter } from '@/ui/parts/Counter';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { roundsEdit } from './asked-edits';
import type { SetField } from './set-field';
import { PinBox } from './PinBox';
import { SpokenLines } from './SpokenLines';
import { useDeskStore } from './use-desk';

const SIDE_LABELS: Readonly<Record<(typeof SIDE_PLANS)[number], string>> = {
  none: 'both together',
  alternate: 'alternating',
  'in-turn': 'one, then the other',
  'each-way': 'each way (circles)',
};

interface Props {
  readonly step: MovementStep;
  readonly timed: TimedStep;
  readonly set: SetField;
}

/** A movement: counts, sides, breath, what is taught and what is said on each phase. */
export function MovementFields({ step, timed, set }: Props) {
  const desk = useDeskStore();
  const bounds = { least: 1, most: LIMITS.rounds };
  const setRounds = (rounds: number): void => {
    const edit = roundsEdit(step, rounds);
    if (edit) desk.edit(edit, `${step.id} rounds`);
  };
  const oneMore = moreRoundsSeconds(step, timed);
  return (
    <div className="flex flex-col">
      <Counter
        label={step.sides === 'none' ? 'Rounds' : 'Rounds on each side'}
        value={step.rounds}
        {...bounds}
        step={step.multiple}
        onChange={setRounds}
      />
      <p className="quiet-ink text-sm">
        {step.multiple} more {step.sides === 'none' ? '' : 'each side '}would add {formatDifference(oneMore)}
      </p>
      <NumberField
        label="At least"
        value={step.leastRounds}
        least={1}
        most={step.mostRounds}
        onChange={(value) => set('leastRounds', value)}
      />
      <NumberField
        label="At most"
        value={step.mostRounds}
        least={step.leastRounds}
        most={LIMITS.rounds}
        onChange={(value) => set('mostRounds', value)}
      />
      <NumberField
        label="In multiples of"
        value={step.multiple}
        {...bounds}
        onChange={(value) => set('multiple', value)}
      />
      <PinBox label="Pin these rounds" pinned={step.pinned} onChange={(pinned) => set('pinned', pinned)} />
      <Choice
        label="Sides"
        value={step.sides}
        options={SIDE_PLANS.map((value) => ({ value, label: SIDE_LABELS[value] }))}
        onChange={(value) => set('sides', value)}
      />
      {(step.sides === 'alternate' || step.sides === 'in-turn') && (
        <Choice
          label="Starts"
          value={step.startSide}
          options={[
            { value: 'left', label: 'left' },
            { value: 'right', label: 'right' },
          ]}
          onChange={(value) => set('startSide', value)}
        />
      )}
      <NumberField
        label={`Breath × class’s: ${timed.breathSeconds.toFixed(1)} s`}
        unit="×"
        digits={2}
        step={0.05}
        value={step.paceMultiplier}
        {...LIMITS.paceMultiplier}
        onChange={(value) => set('paceMultiplier', value)}
      />
      <TextField
        label="Traditional name"
        value={step.traditionalName}
        most={LIMITS.titleCharacters}
        onChange={(value) => set('traditionalName', value)}
      />
      <SpokenLines
        title={`Taught first, ${formatClock(timed.teachSeconds)} by speech`}
        lines={step.teach}
        onChange={(lines) => set('teach', lines)}
      />
      <Phases step={step} set={set} />
      <Fade step={step} set={set} />
      <TextField
        label="Said with the last round"
        spoken
        value={step.lastRoundLine}
        most={LIMITS.lineCharacters}
        onChange={(value) => set('lastRoundLine', value)}
      />
      {(step.sides === 'in-turn' || step.sides === 'each-way') && (
        <>
          <TextField
            label="Said at the change of side"
            spoken
            value={step.sideChangeLine}
            most={LIMITS.lineCharacters}
            onChange={(value) => set('sideChangeLine', value)}
          />
          <NumberField
            label="The change takes"
            unit="s"
            digits={1}
            step={0.5}
            value={step.sideChangeSeconds}
            least={0}
            most={LIMITS.phaseSeconds.most}
            onChange={(value) => set('sideChangeSeconds', value)}
          />
        </>
      )}
      <details className="mt-2">
        <summary className="min-h-6 cursor-pointer text-sm">Words that fill themselves in</summary>
        <dl className="text-sm">
          {TOKENS.map(({ token, stands }) => (
            <div key={token} className="flex gap-2">
              <dt className="font-serif">{token}</dt>
              <dd className="quiet-ink">{stands}</dd>
            </div>
          ))}
        </dl>
      </details>
    </div>
  );
}

function Phases({ step, set }: { readonly step: MovementStep; readonly set: SetField }) {
  const pattern = step.pattern.map((phase) => ({ ...phase }));
  const change = (id: string, part: Partial<Phase>): void =>
    set(
      'pattern',
      pattern.map((phase) => (phase.id === id ? { ...phase, ...part } : phase)),
    );
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">One round</legend>
      {pattern.map((phase, index) => (
        <PhaseFields
          key={phase.id}
          phase={phase}
          place={index + 1}
          onChange={(part) => change(phase.id, part)}
          onRemove={
            pattern.length > 1
              ? () =>
                  set(
                    'pattern',
                    pattern.filter((one) => one.id !== phase.id),
                  )
              : null
          }
        />
      ))}
      <div className="mt-1 flex gap-1" role="group" aria-label="Add a phase">
        {(['in', 'out', 'rest'] as const).map((kind) => (
          <button
            key={kind}
            type="button"
            className="btn btn-xs"
            disabled={pattern.length >= LIMITS.phases}
            onClick={() =>
              set(
                'pattern',
                [...pattern, makePhase(() => crypto.randomUUID(), { kind })].map((phase) => ({ ...phase })),
              )
            }
          >
            <Plus size={12} aria-hidden />
            {kind}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

interface PhaseProps {
  readonly phase: Phase;
  readonly place: number;
  readonly onChange: (part: Partial<Phase>) => void;
  readonly onRemove: (() => void) | null;
}

function PhaseFields({ phase, place, onChange, onRemove }: PhaseProps) {
  const how = phase.seconds !== null ? 'seconds' : phase.share !== null ? 'share' : 'class';
  const canFollowClass = phase.kind === 'in' || phase.kind === 'out';
  const lengths = [
    ...(canFollowClass ? [{ value: 'class' as const, label: 'class’s share' }] : []),
    { value: 'share' as const, label: 'own share' },
    { value: 'seconds' as const, label: 'own seconds' },
  ];
  return (
    <div className="border-base-300 border-b py-1">
      <div className="flex items-center justify-between gap-1">
        <span className="font-semibold">
          {place} · {phase.kind}
        </span>
        <Choice
          label={`Length of phase ${place}`}
          hideLabel
          value={how}
          options={lengths}
          onChange={(value) =>
            onChange({ share: value === 'share' ? 0.5 : null, seconds: value === 'seconds' ? 3 : null })
          }
        />
        {onRemove && (
          <button
            type="button"
            className="btn btn-xs btn-square btn-ghost"
            aria-label={`Remove phase ${place}`}
            onClick={onRemove}
          >
            <Trash2 size={13} aria-hidden />
          </button>
        )}
      </div>
      {how === 'share' && (
        <NumberField
          label="Share of a breath"
          unit="%"
          value={Math.round((phase.share ?? 0) * 100)}
          least={LIMITS.share.least * 100}
          most={LIMITS.share.most * 100}
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
          onChange={(seconds) => onChange({ seconds })}
        />
      )}
      <TextField
        label="Action"
        value={phase.action}
        most={LIMITS.titleCharacters}
        onChange={(action) => onChange({ action })}
      />
      {(['full', 'short', 'breath'] as const).map((form) => (
        <TextField
          key={form}
          label={`Said, ${form}`}
          spoken
          value={phase[form]}
          most={LIMITS.lineCharacters}
          onChange={(text) => onChange({ [form]: text })}
        />
      ))}
    </div>
  );
}

function Fade({ step, set }: { readonly step: MovementStep; readonly set: SetField }) {
  const options = FORMS.map((value) => ({ value, label: value }));
  const change = (at: number, form: Form): void =>
    set(
      'fade',
      step.fade.map((one, index) => (index === at ? form : one)),
    );
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Words thin out</legend>
      {step.fade.map((form, index) => (
        <Choice
          key={index}
          label={index === step.fade.length - 1 ? `Round ${index + 1} and on` : `Round ${index + 1}`}
          value={form}
          options={options}
          onChange={(value) => change(index, value)}
        />
      ))}
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-xs"
          disabled={step.fade.length >= LIMITS.fade}
          onClick={() => set('fade', [...step.fade, step.fade[step.fade.length - 1]])}
        >
          One round more
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={step.fade.length <= 1}
          onClick={() => set('fade', step.fade.slice(0, -1))}
        >
          One fewer
        </button>
      </div>
    </fieldset>
  );
}
