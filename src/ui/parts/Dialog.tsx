import { X } from 'lucide-react';
import { useId, useLayoutEffect, useRef, type ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
  readonly onClose: () => void;
}

/** A dialog over the page; Escape and the cross close it, and the focus goes back to where it was. */
export function Dialog({ title, children, wide, onClose }: Props) {
  const element = useRef<HTMLDialogElement>(null);
  const id = useId();
  useLayoutEffect(() => {
    const dialog = element.current;
    const before = document.activeElement;
    dialog?.showModal();
    // A browser goes to the cross; what the dialog is for comes first.
    dialog?.querySelector<HTMLElement>('[data-first]')?.focus();
    return () => {
      dialog?.close();
      // What opened it may be drawn anew by what was done here.
      if (before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
    };
  }, []);
  return (
    <dialog
      ref={element}
      className="modal"
      aria-labelledby={id}
      onCancel={(event) => {
        if (event.target !== element.current) return;
        event.preventDefault();
        onClose();
      }}
    >
      <div
        className={`modal-box bg-base-100 border-base-300 max-h-[94dvh] border max-sm:w-[96vw] max-sm:p-4 ${wide ? 'max-w-3xl' : 'max-w-xl'}`}
      >
        <div className="mb-3 flex items-start justify-between gap-4">
          <h2 id={id} className="min-w-0 text-lg font-semibold">
            {title}
          </h2>
          <button
            type="button"
            className="btn btn-sm btn-square btn-ghost shrink-0"
            aria-label="Close"
            onClick={onClose}
          >
            <X size={16} aria-hidden />
          </button>
        </div>
        {children}
      </div>
    </dialog>
  );
}
