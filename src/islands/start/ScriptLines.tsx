import { itemAt } from '@/core/units';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useRef } from 'react';
import type { LineKind, ReadLine } from '@/core/plain-script';
import { isOpen, type Corrections } from './corrections';
import { ScriptLine } from './ScriptLine';

interface Props {
  readonly lines: readonly ReadLine[];
  readonly corrections: Corrections;
  /** The line whose guess is looked at now: it is scrolled to, and has the focus. */
  readonly looked: { readonly number: number } | null;
  readonly onPut: (line: ReadLine, kind: LineKind) => void;
  /** The guess of a line is right as it is. */
  readonly onRight: (line: ReadLine) => void;
}

/** Of a row before it is measured: what is long takes more lines than one. */
const ROW_HEIGHT = 40;

/** Line by line how a script was understood; each can be corrected. Only what is in sight is drawn. */
export function ScriptLines({ lines, corrections, looked, onPut, onRight }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const shown = lines.filter((line) => line.text.trim() !== '');
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is drawn again by its own scrolling
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 10,
  });
  useEffect(() => {
    const at = looked ? shown.findIndex(({ number }) => number === looked.number) : -1;
    if (at >= 0) rows.scrollToIndex(at, { align: 'center' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when another line is looked at
  }, [looked]);
  if (shown.length === 0) {
    return <p className="quiet-ink">Paste a script at the left; each of its lines shows here as it was understood.</p>;
  }
  return (
    <div
      ref={scroll}
      className="border-base-300 bg-base-100 h-[58vh] overflow-y-auto lg:h-auto lg:min-h-0 lg:flex-1 rounded border"
      tabIndex={0}
      role="region"
      aria-label="Lines"
    >
      <ol className="relative" style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().map(({ index, start }) => {
          const line = itemAt(shown, index);
          return (
            <li
              key={line.number}
              ref={rows.measureElement}
              data-index={index}
              className="border-base-300 absolute inset-x-0 border-b px-2"
              style={{ top: start }}
            >
              <ScriptLine
                line={line}
                open={isOpen(line, corrections)}
                byHand={corrections.put.has(line.number)}
                looked={looked?.number === line.number ? looked : null}
                onPut={(kind) => onPut(line, kind)}
                onRight={() => onRight(line)}
              />
            </li>
          );
        })}
      </ol>
    </div>
  );
}
