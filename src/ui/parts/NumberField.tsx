import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly unit?: string;
  readonly digits?: number;
  readonly hideLabel?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number edited in place: kept as typed while it is out of bounds, with the bounds said; sent on as soon as it fits. */
export function NumberField({ label, value, min, max, step = 1, unit, digits = 0, hideLabel, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const read = (text: string): number | null => {
    const found = Number(text.replace(',', '.').trim());
    return text.trim() !== '' && Number.isFinite(found) && found >= min && found <= max ? round(found, step) : null;
  };
  const problem = typed !== null && read(typed) === null;
  const take = (next: number): void => onChange(round(Math.min(max, Math.max(min, next)), step));
  return (
    <div className="flex min-h-8 items-center justify-between gap-2">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'shrink-0'}>
        {label}
      </label>
      <span className="flex items-center gap-1">
        <input
          id={id}
          className="in-place w-16! text-right"
          inputMode="decimal"
          autoComplete="off"
          value={typed ?? value.toFixed(digits)}
          aria-invalid={problem}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onFocus={(event) => event.currentTarget.select()}
          onChange={(event) => {
            setTyped(event.target.value);
            const next = read(event.target.value);
            if (next !== null && next !== value) onChange(next);
          }}
          onBlur={() => {
            if (!problem) setTyped(null);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Escape') setTyped(null);
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            event.preventDefault();
            setTyped(null);
            take(value + (event.key === 'ArrowUp' ? step : -step));
          }}
        />
        <span className="quiet-ink w-5 text-sm">{unit}</span>
        {problem && (
          <span id={`${id}-problem`} role="alert" className="text-error text-sm">
            {min} to {max}
          </span>
        )}
      </span>
    </div>
  );
}

function round(value: number, step: number): number {
  const steps = Math.round(value / step);
  return Math.round(steps * step * 1000) / 1000;
}
