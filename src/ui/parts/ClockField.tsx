import { useId, useState } from 'react';
import { formatClock, parseClock, type BareUnit } from '@/core/units';

interface Props {
  readonly label: string;
  readonly seconds: number;
  readonly min: number;
  readonly max: number;
  readonly className?: string;
  readonly hideLabel?: boolean;
  /** What a number alone means here; seconds when left out. */
  readonly bare?: BareUnit;
  readonly onChange: (seconds: number) => void;
}

/** A time as `m:ss`, edited in place. */
export function ClockField({ label, seconds, min, max, className = '', hideLabel, bare, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const read = (text: string): number | null => {
    const found = parseClock(text, bare);
    return found !== null && found >= min && found <= max ? found : null;
  };
  const understood = typed === null ? null : read(typed);
  const problem = typed !== null && understood === null;
  // Until it is left, a number alone is shown as it will be taken.
  const told = understood !== null && typed !== null && !typed.includes(':') ? formatClock(understood) : null;
  return (
    <span className="inline-flex flex-col">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'quiet-ink text-sm'}>
        {label}
      </label>
      <input
        id={id}
        className={`in-place ${className}`}
        autoComplete="off"
        value={typed ?? formatClock(seconds)}
        aria-invalid={problem}
        aria-describedby={problem ? `${id}-problem` : told ? `${id}-told` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = read(event.target.value);
          if (next !== null && event.target.value.includes(':')) onChange(next);
        }}
        onBlur={() => {
          const next = typed === null ? null : read(typed);
          if (next !== null) onChange(next);
          if (!problem) setTyped(null);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {told && (
        <span id={`${id}-told`} role="status" className="quiet-ink text-sm">
          = {told}
        </span>
      )}
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-error text-sm">
          As m:ss, from {formatClock(min)} to {formatClock(max)}
        </span>
      )}
    </span>
  );
}
