import type { ReactNode } from 'react';
import { Dialog } from './Dialog';

export interface KeyLine {
  readonly keys: string;
  readonly does: string;
}

interface Props {
  readonly keys: readonly KeyLine[];
  readonly onClose: () => void;
  readonly children?: ReactNode;
}

/** The keys of a view in a dialog. */
export function KeyList({ keys, onClose, children }: Props) {
  return (
    <Dialog title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        {keys.map((one) => (
          <div key={one.keys} className="contents">
            <dt className="font-semibold">{one.keys}</dt>
            <dd>{one.does}</dd>
          </div>
        ))}
      </dl>
      {children}
    </Dialog>
  );
}
