import { itemAt } from '@/core/units';
import { useId, useLayoutEffect, useRef, useState } from 'react';
import { openToken, tokenProblem, TokenHints, tokensFor } from './TokenHints';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly max: number;
  /** It is said: set in the serif, and words in braces fill themselves in. */
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
  max,
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
  const [hints, setHints] = useState<{ readonly from: number; readonly typed: string; readonly chosen: number } | null>(
    null,
  );
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  const shown = typed ?? value;
  const length = [...shown].length;
  const problem =
    length > max ? `${length} characters; at most ${max}` : needed && shown.trim() === '' ? 'Needed' : null;
  const wrong = spoken && hints === null ? tokenProblem(shown) : null;
  const change = (raw: string): void => {
    const text = raw.replace(/[\r\n]+/g, ' ');
    const fits = [...text].length <= max && !(needed && text.trim() === '');
    setTyped(fits ? null : text);
    if (fits) onChange(text);
  };
  const look = (element: HTMLTextAreaElement): void => {
    const open = spoken ? openToken(element.value, element.selectionStart) : null;
    setHints(open && tokensFor(open.typed).length > 0 ? { ...open, chosen: 0 } : null);
  };
  /** Puts a token in the place of what was typed of it, the caret behind it or where its picture is to be named. */
  const take = (token: string): void => {
    const element = area.current;
    if (!element || !hints) return;
    const name = token.replace(' …', ' ');
    const caret = hints.from + name.length - (name === token ? 0 : 1);
    // In the field at once: a key typed right behind it comes before the next frame.
    element.setRangeText(name, hints.from, element.selectionStart);
    element.setSelectionRange(caret, caret);
    change(element.value);
    setHints(null);
  };
  useLayoutEffect(() => {
    const element = area.current;
    // Where the browser does it, nothing is measured: measuring lays out the whole page.
    if (!element || CSS.supports('field-sizing', 'content')) return;
    element.style.height = 'auto';
    element.style.height = `${element.scrollHeight + 2}px`;
  }, [shown]);
  useLayoutEffect(() => {
    if (startFocused) area.current?.focus();
  }, [startFocused]);
  return (
    <div className="relative w-full">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'quiet-ink text-sm'}>
        {label}
      </label>
      <textarea
        ref={area}
        id={id}
        rows={1}
        className={`in-place field-sizing-content block resize-none overflow-hidden ${spoken ? 'font-serif' : ''} ${className}`}
        value={shown}
        placeholder={placeholder}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        {...(hints && {
          role: 'combobox',
          'aria-expanded': true,
          'aria-controls': `${id}-hints`,
          'aria-activedescendant': `${id}-hints-${hints.chosen}`,
        })}
        onChange={(event) => {
          change(event.target.value);
          look(event.target);
        }}
        onBlur={() => {
          setHints(null);
          onDone?.();
        }}
        onKeyDown={(event) => {
          if (hints && ['ArrowDown', 'ArrowUp', 'Enter', 'Tab', 'Escape'].includes(event.key)) {
            event.preventDefault();
            event.stopPropagation();
            const tokens = tokensFor(hints.typed);
            if (event.key === 'Escape') setHints(null);
            else if (event.key === 'Enter' || event.key === 'Tab') take(itemAt(tokens, hints.chosen).token);
            else {
              const by = event.key === 'ArrowDown' ? 1 : tokens.length - 1;
              setHints({ ...hints, chosen: (hints.chosen + by) % tokens.length });
            }
          } else if (event.key === 'Escape' && event.currentTarget.closest('dialog')) {
            // It closes the dialog, and what was typed is kept.
            return;
          } else if (event.key === 'Enter' || event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            event.currentTarget.blur();
          }
        }}
      />
      {hints && <TokenHints id={`${id}-hints`} typed={hints.typed} chosen={hints.chosen} onTake={take} />}
      {wrong && (
        <span role="alert" className="text-error text-sm">
          {wrong}
        </span>
      )}
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-error text-sm">
          {problem}. Not saved.
        </span>
      )}
    </div>
  );
}
