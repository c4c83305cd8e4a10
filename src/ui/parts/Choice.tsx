import { useId } from 'react';

interface Props<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly hideLabel?: boolean;
  readonly onChange: (value: Value) => void;
}

/** One of a few. */
export function Choice<Value extends string>({ label, value, options, hideLabel, onChange }: Props<Value>) {
  const id = useId();
  return (
    <div className="flex min-h-8 items-center justify-between gap-2">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'shrink-0'}>
        {label}
      </label>
      <select
        id={id}
        className="select select-sm w-auto max-w-44"
        value={value}
        onChange={(event) => {
          const chosen = options.find((option) => option.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </div>
  );
}
