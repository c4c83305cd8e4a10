import { Minus, Plus } from 'lucide-react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** A whole number with one fewer and one more. */
export function Counter({ label, value, min, max, step, onChange }: Props) {
  return (
    <div className="flex min-h-8 items-center justify-between gap-2" role="group" aria-label={label}>
      <span>{label}</span>
      <span className="flex items-center gap-2">
        <button
          type="button"
          className="btn btn-sm btn-square"
          aria-label={`${label}: fewer`}
          disabled={value - step < min}
          onClick={() => onChange(value - step)}
        >
          <Minus size={14} aria-hidden />
        </button>
        <output className="min-w-6 text-center font-semibold" aria-live="polite">
          {value}
        </output>
        <button
          type="button"
          className="btn btn-sm btn-square"
          aria-label={`${label}: more`}
          disabled={value + step > max}
          onClick={() => onChange(value + step)}
        >
          <Plus size={14} aria-hidden />
        </button>
      </span>
    </div>
  );
}
