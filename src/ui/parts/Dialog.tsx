import { X } from 'lucide-react';
import { useEffect, useId, useRef, type ReactNode } from 'react';

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
  useEffect(() => {
    const dialog = element.current;
    dialog?.showModal();
    return () => dialog?.close();
  }, []);
  return (
    <dialog ref={element} className="modal" aria-labelledby={id} onCancel={onClose}>
      <div className={`modal-box bg-base-100 border-base-300 border ${wide ? 'max-w-3xl' : 'max-w-xl'}`}>
        <div className="mb-3 flex items-start justify-between gap-4">
          <h2 id={id} className="text-lg font-semibold">
            {title}
          </h2>
          <button type="button" className="btn btn-sm btn-square btn-ghost" aria-label="Close" onClick={onClose}>
            <X size={16} aria-hidden />
          </button>
        </div>
        {children}
      </div>
    </dialog>
  );
}
