import { Plus, Trash2 } from 'lucide-react';

import { LAYERS, MOVEMENT_LIMITS as LIMITS, type SpokenLine } from '@/core/movement';
import { NumberField } from './NumberField';
import { TextField } from './TextField';

interface Props {
  readonly title: string;
  readonly lines: readonly SpokenLine[];
  /** Lines may belong to a layer of teaching: arms, feet, breath. */
  readonly layered?: boolean;
  readonly onChange: (lines: SpokenLine[]) => void;
}

/** Lines said one after the other, each with the pause that follows it. */
export function SpokenLines({ title, lines, layered, onChange }: Props) {
  const all = lines.map((line) => ({ ...line }));
  const change = (id: string, part: Partial<SpokenLine>): void =>
    onChange(all.map((line) => (line.id === id ? { ...line, ...part } : line)));
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">{title}</legend>
      {all.map((line, index) => (
        <div key={line.id} className="border-base-300 border-b py-1">
          <TextField
            label={`Line ${index + 1}`}
            hideLabel
            spoken
            placeholder="What is said"
            value={line.text}
            max={LIMITS.lineCharacters}
            onChange={(text) => change(line.id, { text })}
          />
          <div className="flex items-center justify-between">
            <NumberField
              label="then a pause of"
              unit="s"
              digits={1}
              step={0.5}
              value={line.pauseSeconds}
              {...LIMITS.pauseSeconds}
              onChange={(pauseSeconds) => change(line.id, { pauseSeconds })}
            />
            {layered && (
              <select
                className="select select-xs w-20"
                aria-label={`Line ${index + 1} is about`}
                value={line.layer ?? ''}
                onChange={(event) =>
                  change(line.id, { layer: LAYERS.find((one) => one === event.target.value) ?? null })
                }
              >
                <option value="">all</option>
                {LAYERS.map((layer) => (
                  <option key={layer} value={layer}>
                    {layer}
                  </option>
                ))}
              </select>
            )}
            <button
              type="button"
              className="btn btn-xs btn-square btn-ghost"
              aria-label={`Remove line ${index + 1}`}
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
        onClick={() => onChange([...all, { id: crypto.randomUUID(), text: '', pauseSeconds: 1.5, layer: null }])}
      >
        <Plus size={12} aria-hidden />
        Add a line
      </button>
    </fieldset>
  );
}
