import {
  CAUTIONS,
  MOVEMENT_LIMITS as LIMITS,
  PRIORITIES,
  STANCES,
  type Caution,
  type Level,
  type MovementContent,
  type Stance,
} from '@/core/movement';
import { BELLIES, BREATH_WAYS, OUT_BREATHS } from '@/core/words';
import { BELLY_WORDS, BREATH_WAY_WORDS, OUT_BREATH_WORDS } from '@/messages/teaching-style';
import { CAUTION_WORDS, PRIORITY_WORDS, STANCE_WORDS } from '@/messages/movement';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { TextField } from '@/ui/parts/TextField';
import { TextList } from '@/ui/parts/TextList';
import type { SetContent } from './set-content';

interface Props {
  readonly movement: MovementContent;
  readonly set: SetContent;
}

/** What a movement is beside its counts and words: names, stances, levels, cautions, seated version, priority. */
export function AboutFields({ movement, set }: Props) {
  return (
    <>
      <TextField
        label="Traditional name"
        value={movement.traditionalName}
        max={LIMITS.titleCharacters}
        onChange={(value) => set('traditionalName', value)}
      />
      <TextList
        label="Other names"
        items={movement.otherNames}
        max={LIMITS.otherNames}
        characters={LIMITS.titleCharacters}
        onChange={(items) => set('otherNames', items)}
      />
      <StanceChoice label="Begins" value={movement.stanceStart} onChange={(value) => set('stanceStart', value)} />
      <StanceChoice label="Ends" value={movement.stanceEnd} onChange={(value) => set('stanceEnd', value)} />
      <Choice
        label="In short lengths"
        value={movement.priority}
        options={PRIORITIES.map((value) => ({ value, label: PRIORITY_WORDS[value] }))}
        onChange={(value) => set('priority', value)}
      />
      <Breathes movement={movement} set={set} />
      <Levels movement={movement} set={set} />
      <fieldset className="my-2">
        <legend className="font-semibold">Cautions</legend>
        <p className="quiet-ink text-sm">
          Reminders only. They defer to doctors, physiotherapists and the local rules for teaching.
        </p>
        <Cautions cautions={movement.cautions} onChange={(cautions) => set('cautions', cautions)} />
      </fieldset>
      <TextField
        label="Seated version"
        placeholder="How to do it seated; leave empty if it cannot be"
        value={movement.seated}
        max={LIMITS.noteCharacters}
        onChange={(value) => set('seated', value)}
      />
    </>
  );
}

export function StanceChoice({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: Stance | null;
  readonly onChange: (stance: Stance | null) => void;
}) {
  const options = [
    { value: 'any' as const, label: 'any stance' },
    ...STANCES.map((stance) => ({ value: stance, label: STANCE_WORDS[stance] })),
  ];
  return (
    <Choice
      label={label}
      value={value ?? 'any'}
      options={options}
      onChange={(chosen) => onChange(chosen === 'any' ? null : chosen)}
    />
  );
}

function Cautions({
  cautions,
  onChange,
}: {
  readonly cautions: readonly Caution[];
  readonly onChange: (cautions: readonly Caution[]) => void;
}) {
  return CAUTIONS.map((caution) => {
    const has = cautions.includes(caution);
    const { name, says } = CAUTION_WORDS[caution];
    return (
      <div key={caution}>
        <CheckBox
          label={name}
          checked={has}
          title={says}
          onChange={(on) => onChange(CAUTIONS.filter((one) => (one === caution ? on : cautions.includes(one))))}
        />
        {has && <p className="text-sm">{says}</p>}
      </div>
    );
  });
}

/** How it breathes, where that is not as the class does. */
function Breathes({ movement, set }: Props) {
  const asClass = { value: 'class' as const, label: 'as the class does' };
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Breath</legend>
      <Choice
        label="Nose or mouth"
        value={movement.breathWay ?? 'class'}
        options={[asClass, ...BREATH_WAYS.map((value) => ({ value, label: BREATH_WAY_WORDS[value] }))]}
        onChange={(value) => set('breathWay', value === 'class' ? null : value)}
      />
      <Choice
        label="Belly"
        value={movement.belly ?? 'class'}
        options={[asClass, ...BELLIES.map((value) => ({ value, label: BELLY_WORDS[value] }))]}
        onChange={(value) => set('belly', value === 'class' ? null : value)}
      />
      <Choice
        label="Exhale"
        value={movement.outBreath ?? 'class'}
        options={[asClass, ...OUT_BREATHS.map((value) => ({ value, label: OUT_BREATH_WORDS[value] }))]}
        onChange={(value) => set('outBreath', value === 'class' ? null : value)}
      />
    </fieldset>
  );
}

function Levels({ movement, set }: Props) {
  const { levels } = movement;
  const take = (next: readonly Level[]): void => set('levels', next);
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Levels, the easiest first</legend>
      {levels.map((level, index) => (
        <div key={index} className="border-base-300 border-b py-1">
          <TextField
            label={`Level ${index + 1}`}
            needed
            value={level.name}
            max={LIMITS.titleCharacters}
            onChange={(name) => take(levels.map((one, at) => (at === index ? { ...one, name } : one)))}
          />
          <TextField
            label={`What level ${index + 1} asks`}
            value={level.note}
            max={LIMITS.noteCharacters}
            onChange={(note) => take(levels.map((one, at) => (at === index ? { ...one, note } : one)))}
          />
        </div>
      ))}
      <div className="mt-1 flex gap-1">
        <button
          type="button"
          className="btn btn-xs"
          disabled={levels.length >= LIMITS.levels}
          onClick={() =>
            take([...levels, { name: ['Small', 'Medium', 'Full'][levels.length] ?? 'Level', note: '', lines: [] }])
          }
        >
          Add a level
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={levels.length === 0}
          onClick={() => take(levels.slice(0, -1))}
        >
          Remove the last
        </button>
      </div>
    </fieldset>
  );
}
