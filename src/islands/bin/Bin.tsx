import { useState } from 'react';
import { BIN_DAYS, type BinEntry, type BinKind } from '@/api/bin';
import { send } from '@/api/client';
import { Dialog } from '@/ui/parts/Dialog';
import { AppHead } from '@/ui/layout/AppHead';

interface Props {
  readonly studio: string;
  readonly first: readonly BinEntry[];
}

const KIND_WORDS: Readonly<Record<BinKind, string>> = {
  class: 'Class',
  take: 'Take',
  movement: 'Movement',
  series: 'Series',
};
const DAY_MILLISECONDS = 86_400_000;

/** What was removed, to be restored or deleted for good. */
export function Bin({ studio, first }: Props) {
  const [entries, setEntries] = useState(first);
  const [said, setSaid] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const restore = async (entry: BinEntry): Promise<void> => {
    const answer = await send('POST', `/api/bin/${entry.kind}/${entry.id}/restore`, {});
    if (!answer.ok) return setTrouble(answer.problem.detail);
    setEntries((before) => before.filter((one) => one !== entry));
    setTrouble(null);
    return setSaid(`${entry.name} was restored.`);
  };
  const empty = async (): Promise<void> => {
    setAsking(false);
    const answer = await send('DELETE', '/api/bin');
    if (!answer.ok) return setTrouble(answer.problem.detail);
    setEntries([]);
    setTrouble(null);
    return setSaid('The bin was emptied.');
  };
  const count = entries.length === 1 ? '1 thing' : `${entries.length} things`;
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead studio={studio} title="Bin">
        <button
          type="button"
          className="btn btn-sm btn-outline"
          disabled={entries.length === 0}
          onClick={() => setAsking(true)}
        >
          Empty the bin
        </button>
      </AppHead>
      <main id="main" tabIndex={-1}>
        <p className="quiet-ink mb-4">What you remove stays here for {BIN_DAYS} days. After that it is deleted.</p>
        <p role="status" className={said === null ? 'sr-only' : 'bg-secondary mb-3 rounded px-3 py-2'}>
          {said}
        </p>
        {trouble && (
          <p role="alert" className="text-error mb-3">
            {trouble}
          </p>
        )}
        {entries.length === 0 ? (
          <p className="py-8">The bin is empty.</p>
        ) : (
          <ul aria-label="In the bin" className="bg-base-100 rounded">
            {entries.map((entry) => (
              <li
                key={`${entry.kind} ${entry.id}`}
                className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-4 py-2"
              >
                <span className="quiet-ink w-20 shrink-0 text-sm">{KIND_WORDS[entry.kind]}</span>
                <span className="min-w-0 flex-1 max-sm:order-first max-sm:basis-full">
                  <span className="block font-semibold sm:truncate">{entry.name}</span>
                  {entry.of !== null && <span className="quiet-ink block text-sm sm:truncate">of {entry.of}</span>}
                </span>
                <span className="quiet-ink text-sm max-sm:flex-1">{daysLeft(entry)}</span>
                <button type="button" className="btn btn-sm" onClick={() => void restore(entry)}>
                  Restore<span className="sr-only"> {entry.name}</span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </main>
      {asking && (
        <Dialog title="Empty the bin?" onClose={() => setAsking(false)}>
          <p>{count} will be deleted for good, classes with their takes and their history. This cannot be undone.</p>
          <div className="mt-4 flex gap-2">
            <button type="button" className="btn btn-primary" onClick={() => void empty()}>
              Delete {count}
            </button>
            <button type="button" className="btn" onClick={() => setAsking(false)}>
              Cancel
            </button>
          </div>
        </Dialog>
      )}
    </div>
  );
}

/** How long it still lies there. */
function daysLeft({ removedAt }: BinEntry): string {
  const passed = Math.floor((Date.now() - new Date(removedAt).getTime()) / DAY_MILLISECONDS);
  const left = Math.max(0, BIN_DAYS - passed);
  return left === 1 ? '1 day left' : `${left} days left`;
}
