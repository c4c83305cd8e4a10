import { Copy, FileInput, Plus, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import type { ClassResponse, ShelfClass } from '@/api/classes';
import { send } from '@/api/client';
import { LIMITS, readPlanText } from '@/core/plan';
import { formatClock, formatDifference, type Issue } from '@/core/units';
import { decodeText } from '@/files/decode-text';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { NewClass } from './NewClass';

interface Props {
  readonly studio: string;
  readonly classes: readonly ShelfClass[];
}

interface Trouble {
  readonly title: string;
  readonly issues: readonly Issue[];
}

/** The classes of the studio, to open, to begin, to bring in. */
export function Shelf({ studio, classes: first }: Props) {
  const [classes, setClasses] = useState(first);
  const [making, setMaking] = useState(false);
  const [removed, setRemoved] = useState<ShelfClass | null>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const file = useRef<HTMLInputElement>(null);

  const create = async (body: object): Promise<boolean> => {
    const answer = await send<ClassResponse>('POST', '/api/classes', body);
    if (answer.ok) location.assign(`/classes/${answer.value.id}`);
    else setTrouble({ title: answer.problem.detail, issues: answer.problem.issues ?? [] });
    return answer.ok;
  };
  const bring = async (chosen: File): Promise<void> => {
    const refuse = (issues: readonly Issue[]): void =>
      setTrouble({ title: `${chosen.name} could not be brought in. The shelf is as it was.`, issues });
    if (chosen.size > LIMITS.documentBytes) {
      refuse([{ code: 'too-large', at: '', facts: { megabytes: LIMITS.documentBytes / 1024 / 1024 } }]);
      return;
    }
    const read = readPlanText(decodeText(new Uint8Array(await chosen.arrayBuffer())).text);
    if (read.ok) await create({ from: 'plan', plan: read.value });
    else refuse(read.problem);
  };
  const remove = async (entry: ShelfClass): Promise<void> => {
    const answer = await send('DELETE', `/api/classes/${entry.id}`);
    if (!answer.ok) {
      setTrouble({ title: answer.problem.detail, issues: [] });
      return;
    }
    setClasses(classes.filter((one) => one.id !== entry.id));
    setRemoved(entry);
  };
  const putBack = async (entry: ShelfClass): Promise<void> => {
    const answer = await send('POST', `/api/classes/${entry.id}/put-back`, {});
    if (answer.ok) location.reload();
    else setTrouble({ title: answer.problem.detail, issues: [] });
  };
  return (
    <div className="mx-auto max-w-5xl px-5 py-4">
      <header className="mb-6 flex flex-wrap items-center gap-3">
        <span className="font-semibold">{studio}</span>
        <span className="ml-auto flex items-center gap-2">
          <ThemeSwitch />
          <button type="button" className="btn btn-sm" onClick={() => file.current?.click()}>
            <FileInput size={14} aria-hidden />
            Bring a plan file
          </button>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            className="hidden"
            aria-label="Plan file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = '';
              if (chosen) void bring(chosen);
            }}
          />
          <button type="button" className="btn btn-sm btn-primary" onClick={() => setMaking(true)}>
            <Plus size={14} aria-hidden />
            New class
          </button>
        </span>
      </header>
      <main>
        <h1 className="mb-3 text-2xl font-semibold">Shelf</h1>
        {removed && (
          <p role="status" className="bg-secondary mb-3 flex items-center justify-between rounded px-3 py-2">
            {removed.title} was taken off the shelf.
            <button type="button" className="btn btn-sm" onClick={() => void putBack(removed)}>
              Put it back
            </button>
          </p>
        )}
        {classes.length === 0 ? (
          <div className="py-16 text-center">
            <p className="mb-4">The shelf is empty. Begin with a class of your own.</p>
            <button type="button" className="btn btn-primary" onClick={() => setMaking(true)}>
              New class
            </button>
          </div>
        ) : (
          <ShelfTable
            classes={classes}
            onCopy={(entry) => void create({ from: 'class', classId: entry.id })}
            onRemove={(entry) => void remove(entry)}
          />
        )}
      </main>
      {making && <NewClass classes={classes} onCreate={create} onClose={() => setMaking(false)} />}
      {trouble && (
        <Dialog title="Not done" onClose={() => setTrouble(null)}>
          <p>{trouble.title}</p>
          <IssueList issues={trouble.issues} />
        </Dialog>
      )}
    </div>
  );
}

interface TableProps {
  readonly classes: readonly ShelfClass[];
  readonly onCopy: (entry: ShelfClass) => void;
  readonly onRemove: (entry: ShelfClass) => void;
}

function ShelfTable({ classes, onCopy, onRemove }: TableProps) {
  return (
    <table className="bg-base-100 table rounded">
      <thead>
        <tr>
          <th scope="col">Class</th>
          <th scope="col" className="text-right">
            Planned
          </th>
          <th scope="col" className="text-right">
            Target
          </th>
          <th scope="col" className="text-right">
            Off by
          </th>
          <th scope="col" className="text-right">
            Takes
          </th>
          <th scope="col">
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {classes.map((entry) => {
          const off = Math.round(entry.runtimeSeconds) - Math.round(entry.targetSeconds);
          return (
            <tr key={entry.id}>
              <th scope="row" className="max-w-md text-base font-semibold">
                <a className="link link-hover block truncate" href={`/classes/${entry.id}`}>
                  {entry.title}
                </a>
              </th>
              <td className="text-right">{formatClock(entry.runtimeSeconds)}</td>
              <td className="text-right">{formatClock(entry.targetSeconds)}</td>
              <td className={`text-right ${off !== 0 ? 'text-accent font-semibold' : 'quiet-ink'}`}>
                {off === 0 ? 'on target' : formatDifference(off)}
              </td>
              <td className="text-right">
                <a
                  className="link link-hover inline-block min-w-6"
                  href={`/classes/${entry.id}/takes`}
                  aria-label={`Takes of ${entry.title}: ${entry.takes}`}
                >
                  {entry.takes}
                </a>
              </td>
              <td className="text-right whitespace-nowrap">
                <button type="button" className="btn btn-sm" onClick={() => onCopy(entry)}>
                  <Copy size={14} aria-hidden />
                  Copy<span className="sr-only"> {entry.title}</span>
                </button>{' '}
                <button
                  type="button"
                  className="btn btn-sm btn-square"
                  aria-label={`Remove ${entry.title}`}
                  title="Remove"
                  onClick={() => onRemove(entry)}
                >
                  <Trash2 size={14} aria-hidden />
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
