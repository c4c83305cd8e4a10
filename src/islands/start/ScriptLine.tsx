import { useEffect, useRef, type KeyboardEvent } from 'react';
import { LINE_KINDS, withoutMark, type LineKind, type ReadLine } from '@/core/plain-script';
import { LINE_KIND_WORDS, lineCounts } from '@/messages/script';

interface Props {
  readonly line: ReadLine;
  /** Whether it is a guess that nobody has looked at. */
  readonly open: boolean;
  readonly byHand: boolean;
  /** Set where it is looked at now; another object each time. */
  readonly looked: object | null;
  readonly onPut: (kind: LineKind) => void;
  readonly onRight: () => void;
}

/** Kinds a person can choose for any line; a setting only where one is read or offered. */
const CHOOSABLE = LINE_KINDS.filter((kind) => kind !== 'setting');

/** A line of a script, how it was understood, and, where that is a guess, what else it may be. */
export function ScriptLine({ line, open, byHand, looked, onPut, onRight }: Props) {
  const { number, text, kind, words, others = [] } = line;
  return (
    <>
      <div className="flex min-h-10 items-center gap-2">
        <span className="quiet-ink w-6 shrink-0 text-right text-xs">{number}</span>
        <label className="shrink-0">
          <span className="sr-only">Line {number} is</span>
          <select
            className={`select select-xs w-31 ${open ? 'border-warning text-warning' : ''}`}
            value={kind}
            onChange={(event) => {
              const chosen = LINE_KINDS.find((one) => one === event.target.value);
              if (chosen) onPut(chosen);
            }}
          >
            {(kind === 'setting' || others.includes('setting')) && (
              <option value="setting">{LINE_KIND_WORDS.setting}</option>
            )}
            {CHOOSABLE.map((one) => (
              <option key={one} value={one}>
                {LINE_KIND_WORDS[one]}
              </option>
            ))}
          </select>
        </label>
        <span
          className={`line-clamp-3 min-w-16 flex-1 py-1 leading-5 max-sm:text-sm sm:min-w-32 ${kind === 'nothing' ? 'quiet-ink' : ''}`}
          title={text}
        >
          {words === '' ? withoutMark(text) : words}
        </span>
        <span
          className="quiet-ink max-w-24 shrink-0 py-1 text-right text-sm leading-5 sm:max-w-40"
          title={lineCounts(line)}
        >
          {lineCounts(line)}
        </span>
        {open && (
          <span className="text-warning shrink-0 font-semibold" title="uncertain">
            <span aria-hidden>?</span>
            <span className="sr-only">uncertain</span>
          </span>
        )}
        {byHand && <span className="quiet-ink shrink-0 text-xs">by hand</span>}
      </div>
      {open && <Guess number={number} kind={kind} others={others} looked={looked} {...{ onPut, onRight }} />}
    </>
  );
}

type GuessProps = Pick<Props, 'looked' | 'onPut' | 'onRight'> & Pick<ReadLine, 'number' | 'kind'> & { readonly others: readonly LineKind[] }; // prettier-ignore

/** Whether a guess is right, or what else the line is: a press each, or the keys 1, 2, 3. */
function Guess({ number, kind, others, looked, onPut, onRight }: GuessProps) {
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (!looked) return;
    first.current?.focus({ preventScroll: true });
    first.current?.scrollIntoView({ block: 'nearest' });
  }, [looked]);
  const answers = [onRight, ...others.map((one) => () => onPut(one))];
  const press = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const does = answers[Number(event.key) - 1];
    if (!does) return;
    event.preventDefault();
    does();
  };
  return (
    <div
      role="group"
      aria-label={`Uncertain: line ${number}`}
      className="flex flex-wrap items-center gap-1 pb-2 pl-8"
      onKeyDown={press}
    >
      <button ref={first} type="button" className="btn btn-xs" aria-keyshortcuts="1" onClick={onRight}>
        <Key of="1" /> Yes, {LINE_KIND_WORDS[kind]}
      </button>
      {others.map((one, at) => (
        <button
          key={one}
          type="button"
          className="btn btn-xs"
          aria-keyshortcuts={String(at + 2)}
          onClick={() => onPut(one)}
        >
          <Key of={String(at + 2)} /> {LINE_KIND_WORDS[one]}
        </button>
      ))}
    </div>
  );
}

function Key({ of }: { readonly of: string }) {
  return (
    <span aria-hidden className="quiet-ink">
      {of}
    </span>
  );
}
