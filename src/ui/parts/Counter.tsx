import { Minus, Plus } from 'lucide-react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** A whole number with one fewer and one more. */
export function Counter({ label, value, least, most, step, onChange }: Props) {
  return (
    <div className="flex min-h-8 items-center justify-between gap-2" role="group" aria-label={label}>
      <span>{label}</span>
      <span className="flex items-center gap-2">
        <button
          type="button"
          className="btn btn-sm btn-square"
          aria-label={`${label}: fewer`}
          disabled={value - step < least}
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
          disabled={value + step > most}
          onClick={() => onChange(value + step)}
        >
          <Plus size={14} aria-hidden />
        </button>
      </span>
    </div>
  );
}
