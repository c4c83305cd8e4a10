import { useEffect, useId, useRef, useState, type ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** What the button shows. */
  readonly face: ReactNode;
  readonly className?: string;
  /** Where it opens beside its button. */
  readonly align?: 'left' | 'right';
  readonly children: ReactNode;
}

/** A button that opens a small panel of things to do; Escape, a press elsewhere, or doing one of them closes it. */
export function Menu({ label, face, className = 'btn btn-sm', align = 'right', children }: Props) {
  const [open, setOpen] = useState(false);
  const root = useRef<HTMLDivElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const id = useId();
  useEffect(() => {
    if (!open) return undefined;
    root.current?.querySelector<HTMLElement>('[data-panel] :is(a, button, input)')?.focus();
    const outside = (event: Event): void => {
      if (event.target instanceof Node && !root.current?.contains(event.target)) setOpen(false);
    };
    addEventListener('pointerdown', outside);
    addEventListener('focusin', outside);
    return () => {
      removeEventListener('pointerdown', outside);
      removeEventListener('focusin', outside);
    };
  }, [open]);
  const move = (by: 1 | -1): void => {
    const all = [
      ...(root.current?.querySelectorAll<HTMLElement>('[data-panel] :is(a, button, input):enabled, [data-panel] a') ??
        []),
    ];
    const at = all.indexOf(document.activeElement as HTMLElement);
    all.at((at + by) % all.length)?.focus();
  };
  return (
    <div
      ref={root}
      className="relative inline-block"
      onKeyDown={(event) => {
        if (!open) return;
        if (event.key === 'Escape') {
          event.stopPropagation();
          setOpen(false);
          button.current?.focus();
        }
        if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
        if (event.target instanceof HTMLInputElement && event.target.type === 'radio') return;
        event.preventDefault();
        move(event.key === 'ArrowDown' ? 1 : -1);
      }}
    >
      <button
        ref={button}
        type="button"
        className={className}
        aria-label={label}
        title={label}
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
      >
        {face}
      </button>
      {open && (
        <div
          id={id}
          data-panel
          className={`bg-base-100 border-base-300 absolute top-full z-50 mt-1 w-60 max-w-[90vw] rounded-lg border p-1 text-left shadow-lg ${align === 'right' ? 'right-0' : 'left-0'}`}
          onClick={(event) => {
            const pressed = event.target instanceof Element ? event.target.closest('a, button') : null;
            if (!pressed) return;
            setOpen(false);
            button.current?.focus();
          }}
        >
          {children}
        </div>
      )}
    </div>
  );
}

/** One thing to do in a menu. */
export function MenuButton({
  children,
  danger,
  disabled,
  onClick,
}: {
  readonly children: ReactNode;
  readonly danger?: boolean;
  readonly disabled?: boolean;
  readonly onClick: () => void;
}) {
  return (
    <button type="button" disabled={disabled} className={`${ITEM} ${danger ? 'text-error' : ''}`} onClick={onClick}>
      {children}
    </button>
  );
}

export const ITEM =
  'hover:bg-base-200 flex min-h-9 w-full items-center gap-2 rounded px-2 text-left disabled:opacity-40';
