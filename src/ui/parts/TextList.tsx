import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  readonly items: readonly string[];
  readonly max: number;
  readonly characters: number;
  readonly onChange: (items: readonly string[]) => void;
}

/** Short texts typed with commas between them; what is too long or too many is said and not sent on. */
export function TextList({ label, items, max, characters, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const found = itemsOf(typed ?? items.join(', '));
  const problem = found.some((item) => [...item].length > characters)
    ? `At most ${characters} characters each`
    : found.length > max
      ? `At most ${max}`
      : null;
  return (
    <div className="w-full">
      <label htmlFor={id} className="quiet-ink text-sm">
        {label} (with commas between them)
      </label>
      <input
        id={id}
        className="in-place"
        autoComplete="off"
        value={typed ?? items.join(', ')}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = itemsOf(event.target.value);
          if (next.length <= max && next.every((item) => [...item].length <= characters)) onChange(next);
        }}
        onBlur={() => {
          if (problem === null) setTyped(null);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
        }}
      />
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-error text-sm">
          {problem}. Not saved.
        </span>
      )}
    </div>
  );
}

function itemsOf(text: string): string[] {
  const items = text
    .split(',')
    .map((item) => item.trim())
    .filter((item) => item !== '');
  return [...new Set(items)];
}
