import { useEffect, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import type { LibraryEntry } from '@/api/movements';
import { LIMITS } from '@/core/plan';
import { formatClock, type Issue } from '@/core/units';
import { IssueList } from '@/ui/parts/IssueList';
import type { KeyLine } from '@/ui/parts/KeyList';
import { AppHead } from '@/ui/layout/AppHead';
import { ClassShape } from '@/ui/parts/ClassShape';
import type { Begin } from './begin';
import { FromFile } from './FromFile';
import { FromNothing } from './FromNothing';
import { FromScript } from './FromScript';

interface Startable {
  readonly id: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly says?: string;
  /** What is in it, section by section. */
  readonly holds?: readonly { readonly section: string; readonly steps: readonly string[] }[];
  readonly shape?: string;
}

interface Props {
  readonly studio: string;
  readonly classes: readonly Startable[];
  readonly templates: readonly Startable[];
  readonly library: readonly LibraryEntry[];
}

/** Of a pasted script; none of it while text is typed. */
const SCRIPT_KEYS: readonly KeyLine[] = [
  { keys: 'N', does: 'next uncertain line' },
  { keys: '1', does: 'that line is understood correctly' },
  { keys: '2, 3', does: 'that line is the other kind offered beside it' },
];
const WAYS = [
  { id: 'template', label: 'Template' },
  { id: 'nothing', label: 'Empty sections' },
  { id: 'class', label: 'Another class' },
  { id: 'script', label: 'Pasted script' },
  { id: 'file', label: 'Plan file' },
] as const;
type Way = (typeof WAYS)[number]['id'];

/** A new class: from a template, another class, a script, a file, or nothing. */
export function StartFrom({ studio, classes, templates, library }: Props) {
  const [way, setWay] = useState<Way>(() => WAYS.find(({ id }) => `#${id}` === location.hash)?.id ?? 'template');
  const [title, setTitle] = useState('');
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<{ readonly title: string; readonly issues: readonly Issue[] } | null>(null);
  useEffect(() => history.replaceState(null, '', `#${way}`), [way]);
  const tooLong = [...title].length > LIMITS.titleCharacters;
  const begin: Begin = (request, otherwise) => {
    if (tooLong) return;
    const named = title.trim() === '' ? otherwise : title.trim();
    setBusy(true);
    void send<ClassResponse>('POST', '/api/classes', {
      ...request,
      ...(named === undefined ? {} : { title: named }),
    }).then((answer) => {
      if (answer.ok) return location.assign(`/classes/${answer.value.id}`);
      setBusy(false);
      return setTrouble({ title: answer.problem.detail, issues: answer.problem.issues ?? [] });
    });
  };
  return (
    <div className="mx-auto max-w-6xl px-5 py-3 max-sm:px-3">
      <AppHead studio={studio} trail={[]} title="New class" keys={way === 'script' ? SCRIPT_KEYS : []} />
      <div className="grid gap-6 md:grid-cols-[230px_1fr]">
        <nav aria-label="Start from">
          <label className="mb-3 flex flex-col">
            Title
            <input
              className="input w-full"
              value={title}
              autoFocus
              autoComplete="off"
              placeholder="Title (optional)"
              aria-invalid={tooLong}
              onChange={(event) => setTitle(event.target.value)}
            />
          </label>
          {tooLong && (
            <p role="alert" className="text-error mb-2 text-sm">
              {[...title].length} characters; at most {LIMITS.titleCharacters}.
            </p>
          )}
          <p className="quiet-ink text-sm">Start from</p>
          <ul className="flex flex-wrap gap-1 md:flex-col">
            {WAYS.map(({ id, label }) => (
              <li key={id}>
                <button
                  type="button"
                  className={`btn btn-sm md:w-full md:justify-start ${way === id ? 'btn-primary' : ''}`}
                  aria-pressed={way === id}
                  onClick={() => {
                    setWay(id);
                    setTrouble(null);
                  }}
                >
                  {label}
                </button>
              </li>
            ))}
          </ul>
        </nav>
        <main id="main" tabIndex={-1} className="min-w-0" aria-label={WAYS.find(({ id }) => id === way)?.label}>
          {trouble && (
            <div role="alert" className="mb-3">
              <p className="text-error">{trouble.title}</p>
              <IssueList issues={trouble.issues} />
            </div>
          )}
          {way === 'template' && (
            <StartList
              busy={busy}
              items={templates}
              onTake={({ id, title: named }) => begin({ from: 'template', templateId: id }, named)}
            />
          )}
          {way === 'class' &&
            (classes.length === 0 ? (
              <p>There is no class yet. Start from a template.</p>
            ) : (
              <StartList busy={busy} items={classes} onTake={({ id }) => begin({ from: 'class', classId: id })} />
            ))}
          {way === 'script' && <FromScript library={library} begin={begin} busy={busy} />}
          {way === 'file' && <FromFile begin={begin} busy={busy} />}
          {way === 'nothing' && <FromNothing begin={begin} busy={busy} />}
        </main>
      </div>
    </div>
  );
}

interface ListProps<Item extends Startable> {
  readonly items: readonly Item[];
  readonly busy: boolean;
  readonly onTake: (item: Item) => void;
}

function StartList<Item extends Startable>({ items, busy, onTake }: ListProps<Item>) {
  return (
    <ul>
      {items.map((item) => (
        <li key={item.id} className="border-base-300 flex items-center gap-4 border-b py-2">
          <span className="min-w-0 flex-1">
            <span className="block truncate font-semibold">{item.title}</span>
            {item.says && <span className="quiet-ink text-sm">{item.says}</span>}
            {item.holds && (
              <span className="block text-sm">
                {item.holds.map(({ section, steps }) => (
                  <span key={section} className="mr-3 inline-block">
                    <span className="font-semibold">{section}</span>{' '}
                    <span className="quiet-ink">{steps.join(', ')}</span>
                  </span>
                ))}
              </span>
            )}
            {item.shape && <ClassShape shape={item.shape} className="mt-1 max-w-lg" />}
          </span>
          <span className="shrink-0">{formatClock(item.targetSeconds)}</span>
          <button
            type="button"
            className="btn btn-sm"
            disabled={busy}
            aria-label={`Use ${item.title}`}
            onClick={() => onTake(item)}
          >
            Use
          </button>
        </li>
      ))}
    </ul>
  );
}
