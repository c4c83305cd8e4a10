import { useId, useLayoutEffect, useRef, useState } from 'react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly spoken?: boolean;
  readonly needed?: boolean;
  readonly hideLabel?: boolean;
  readonly className?: string;
  readonly placeholder?: string;
  readonly onChange: (text: string) => void;
  readonly onDone?: () => void;
  readonly startFocused?: boolean;
}

/**
 * Text edited in place, on as many lines as it needs. What is too long, or empty where something is needed, stays as
 * typed with the reason beside it and is not sent on.
 */
export function TextField({
  label,
  value,
  most,
  spoken,
  needed,
  hideLabel,
  className = '',
  placeholder,
  onChange,
  onDone,
  startFocused,
}: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  const shown = typed ?? value;
  const length = [...shown].length;
  const problem =
    length > most ? `${length} characters; at most ${most}` : needed && shown.trim() === '' ? 'Needed' : null;
  useLayoutEffect(() => {
    const element = area.current;
    if (!element) return;
    element.style.height = 'auto';
    element.style.height = `${element.scrollHeight + 2}px`;
  }, [shown]);
  useLayoutEffect(() => {
    if (startFocused) area.current?.focus();
  }, [startFocused]);
  return (
    <div className="w-full">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'quiet-ink text-sm'}>
        {label}
      </label>
      <textarea
        ref={area}
        id={id}
        rows={1}
        className={`in-place block resize-none overflow-hidden ${spoken ? 'font-serif' : ''} ${className}`}
        value={shown}
        placeholder={placeholder}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => {
          const text = event.target.value.replace(/[\r\n]+/g, ' ');
          const fits = [...text].length <= most && !(needed && text.trim() === '');
          setTyped(fits ? null : text);
          if (fits) onChange(text);
        }}
        onBlur={onDone}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            event.currentTarget.blur();
          }
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
