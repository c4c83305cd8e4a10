import { itemAt } from '@/core/units';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef } from 'react';
import { LINE_KINDS, withoutMark, type LineKind, type ReadLine } from '@/core/plain-script';
import { LINE_KIND_WORDS, lineCounts } from '@/messages/script';

interface Props {
  readonly lines: readonly ReadLine[];
  /** Kinds that were put right by hand, by the number of the line. */
  readonly put: ReadonlyMap<number, LineKind>;
  readonly onPut: (number: number, kind: LineKind) => void;
}

/** Kinds a person can choose; a setting belongs to the tidy form. */
const CHOOSABLE = LINE_KINDS.filter((kind) => kind !== 'setting');
/** Of a row before it is measured: what is long takes more lines than one. */
const ROW_HEIGHT = 40;

/** Line by line how a script was understood; each can be put right. Only what is in sight is drawn. */
export function ScriptLines({ lines, put, onPut }: Props) {
  const scroll = useRef<HTMLDivElement>(null);
  const shown = lines.filter((line) => line.text.trim() !== '');
  // eslint-disable-next-line react-hooks/incompatible-library -- the list is drawn again by its own scrolling
  const rows = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroll.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 10,
  });
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
              className="border-base-300 absolute inset-x-0 flex min-h-10 items-center gap-2 border-b px-2"
              style={{ top: start }}
            >
              <span className="quiet-ink w-6 shrink-0 text-right text-xs">{line.number}</span>
              <label className="shrink-0">
                <span className="sr-only">Line {line.number} is</span>
                <select
                  className={`select select-xs w-31 ${line.unsure ? 'border-warning text-warning' : ''}`}
                  value={line.kind}
                  onChange={(event) => {
                    const kind = CHOOSABLE.find((one) => one === event.target.value);
                    if (kind) onPut(line.number, kind);
                  }}
                >
                  {line.kind === 'setting' && <option value="setting">{LINE_KIND_WORDS.setting}</option>}
                  {CHOOSABLE.map((kind) => (
                    <option key={kind} value={kind}>
                      {LINE_KIND_WORDS[kind]}
                    </option>
                  ))}
                </select>
              </label>
              <span
                className={`line-clamp-3 min-w-16 flex-1 py-1 leading-5 max-sm:text-sm sm:min-w-32 ${line.kind === 'nothing' ? 'quiet-ink' : ''}`}
                title={line.text}
              >
                {line.words === '' ? withoutMark(line.text) : line.words}
              </span>
              <span
                className="quiet-ink max-w-24 shrink-0 py-1 text-right text-sm leading-5 sm:max-w-40"
                title={lineCounts(line)}
              >
                {lineCounts(line)}
              </span>
              {line.unsure && (
                <span className="text-warning shrink-0 font-semibold" title="uncertain">
                  <span aria-hidden>?</span>
                  <span className="sr-only">uncertain</span>
                </span>
              )}
              {put.has(line.number) && <span className="quiet-ink shrink-0 text-xs">by hand</span>}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
