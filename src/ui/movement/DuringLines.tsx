import { Plus, Trash2 } from 'lucide-react';
import { DURING_PLACES, LAYERS, makeDuring, MOVEMENT_LIMITS as LIMITS, type DuringLine } from '@/core/movement';
import { DURING_PLACE_WORDS, DURING_SIDE_WORDS, DURING_UNITS } from '@/messages/movement';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';

interface Props {
  readonly title: string;
  readonly lines: readonly DuringLine[];
  /** Whether rounds are led, so that a line may name one. */
  readonly led: boolean;
  /** Whether sides are performed one after the other. */
  readonly sided: boolean;
  readonly onChange: (lines: DuringLine[]) => void;
}

/** Lines said while the rounds, the own pace, a hold or a silence run, and where each is said. */
export function DuringLines({ title, lines, led, sided, onChange }: Props) {
  const all = [...lines];
  const places = led ? DURING_PLACES : DURING_PLACES.filter((place) => place === 'anywhere' || place === 'time');
  const change = (id: string, part: Partial<DuringLine>): void =>
    onChange(all.map((line) => (line.id === id ? { ...line, ...part } : line)));
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">{title}</legend>
      {all.map((line, index) => (
        <div key={line.id} className="border-base-300 border-b py-1">
          <TextField
            label={`Line ${index + 1} ${title.toLowerCase()}`}
            hideLabel
            spoken
            placeholder="What is said"
            value={line.text}
            max={LIMITS.lineCharacters}
            onChange={(text) => change(line.id, { text })}
          />
          <div className="flex flex-wrap items-center gap-1">
            <Select
              label={`Where line ${index + 1} is said`}
              value={line.on}
              options={places.map((place) => ({ value: place, label: DURING_PLACE_WORDS[place] }))}
              onChange={(on) => change(line.id, { on, number: on === 'anywhere' ? 0 : line.number || 2 })}
            />
            {line.on !== 'anywhere' && (
              <NumberField
                label={DURING_UNITS[line.on]}
                hideLabel
                unit={DURING_UNITS[line.on]}
                value={line.number}
                min={line.on === 'time' ? 0 : 1}
                max={line.on === 'time' ? LIMITS.duringNumber.max : LIMITS.rounds}
                onChange={(number) => change(line.id, { number })}
              />
            )}
            {sided && (
              <Select
                label={`Side of line ${index + 1}`}
                value={line.side}
                options={Object.entries(DURING_SIDE_WORDS).map(([value, label]) => ({
                  value: value as DuringLine['side'],
                  label,
                }))}
                onChange={(side) => change(line.id, { side })}
              />
            )}
            {led && (
              <Select
                label={`Line ${index + 1} is about`}
                value={line.layer ?? 'all'}
                options={['all' as const, ...LAYERS].map((value) => ({ value, label: value }))}
                onChange={(layer) => change(line.id, { layer: layer === 'all' ? null : layer })}
              />
            )}
            <button
              type="button"
              className="btn btn-xs btn-square btn-ghost ml-auto"
              aria-label={`Remove line ${index + 1} ${title.toLowerCase()}`}
              onClick={() => onChange(all.filter((one) => one.id !== line.id))}
            >
              <Trash2 size={13} aria-hidden />
            </button>
          </div>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-xs mt-1"
        disabled={all.length >= LIMITS.spokenLines}
        onClick={() => onChange([...all, makeDuring(() => crypto.randomUUID(), '')])}
      >
        <Plus size={12} aria-hidden />
        Add a line {led ? 'during the rounds' : 'while it lasts'}
      </button>
    </fieldset>
  );
}

interface SelectProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly onChange: (value: Value) => void;
}

/** A small choice beside a line. */
function Select<Value extends string>({ label, value, options, onChange }: SelectProps<Value>) {
  return (
    <select
      className="select select-xs w-auto"
      aria-label={label}
      value={value}
      onChange={(event) => {
        const chosen = options.find((one) => one.value === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
    >
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
}
