import { useEffect, useMemo, useState } from 'react';
import type { LibraryEntry } from '@/api/movements';
import { LIMITS, planMilliseconds, readPlan, stepsInOrder } from '@/core/plan';
import { SCRIPT_LIMITS, type LineKind, type ReadScript } from '@/core/plain-script';
import { formatClock, toSeconds, type Issue } from '@/core/units';
import { CheckBox } from '@/ui/parts/CheckBox';
import { issueSentence } from '@/messages/issues';
import { IssueList } from '@/ui/parts/IssueList';
import type { Begin } from './begin';
import { knownMovements, withLibrary } from './from-library';
import { ScriptLines } from './ScriptLines';
import { useScriptRead } from './use-script-read';

const KEPT_AS = 'calm-count pasted script';
const EXAMPLE = `Harbour morning

Welcome
Good morning, and welcome to the hall.

Main set
1. Raising the lamp x6
   in: wrists rise
   out: wrists sink
2. Turning the lighthouse, 3 times each side

Closing
Stand quietly for two minutes`;

/** A script pasted as people write it: the text at the left, how each line was understood at the right. */
export function FromScript({
  library,
  begin,
  busy,
}: {
  readonly library: readonly LibraryEntry[];
  readonly begin: Begin;
  readonly busy: boolean;
}) {
  const [text, setText] = useState(() => kept());
  const [put, setPut] = useState<ReadonlyMap<number, LineKind>>(new Map());
  const [useLibrary, setUseLibrary] = useState(true);
  const [trouble, setTrouble] = useState<readonly Issue[]>([]);
  const { read: last, state, newest } = useScriptRead(text, put);
  // What was read before tells nothing of a text that could not be.
  const read = state === 'failed' ? null : last;
  useEffect(() => keep(text), [text]);
  const known = useMemo(() => (read ? knownMovements(read, library) : NONE_KNOWN), [read, library]);
  const tooLong = text.length > SCRIPT_LIMITS.characters || text.split('\n').length > SCRIPT_LIMITS.lines;
  const make = async (): Promise<void> => {
    const whole = await newest();
    if (!whole) return;
    const plan = useLibrary ? await withLibrary(whole, knownMovements(whole, library)) : whole.plan;
    const judged = readPlan(plan);
    if (!judged.ok) return setTrouble(judged.problem);
    setTrouble([]);
    return begin({ from: 'plan', plan: judged.value });
  };
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(260px,2fr)_3fr]">
      <div className="flex flex-col gap-2">
        <label className="flex flex-col gap-1">
          The script, as you write it
          <textarea
            className="textarea h-[58vh] lg:h-[calc(100dvh-8rem)] w-full font-serif text-base leading-6"
            spellCheck={false}
            placeholder={EXAMPLE}
            value={text}
            aria-invalid={tooLong}
            onChange={(event) => {
              setText(event.target.value);
              // What was put right by hand belongs to the lines as they were numbered then.
              if (event.target.value.split('\n').length !== text.split('\n').length) setPut(new Map());
            }}
          />
        </label>
        {text === '' && (
          <button type="button" className="btn btn-sm self-start" onClick={() => setText(EXAMPLE)}>
            Use an example
          </button>
        )}
      </div>
      <section
        aria-label="How each line was understood"
        className="min-w-0 lg:flex lg:h-[calc(100dvh-5.5rem)] lg:flex-col"
      >
        <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
          <ReadingSaid read={read} slow={state === 'slow'} />
          <button
            type="button"
            className="btn btn-primary btn-sm ml-auto"
            disabled={busy || tooLong || read?.unreadFrom !== null || stepsInOrder(read.plan).length === 0}
            onClick={() => void make()}
          >
            Create class
          </button>
        </div>
        {known.size > 0 && (
          <CheckBox
            label={`Fill in breath, words and cautions from the library for ${known.size === 1 ? 'one movement' : `${known.size} movements`}`}
            checked={useLibrary}
            onChange={setUseLibrary}
          />
        )}
        {tooLong && (
          <p role="alert" className="text-error mb-2">
            At most {SCRIPT_LIMITS.characters.toLocaleString('en')} characters in{' '}
            {SCRIPT_LIMITS.lines.toLocaleString('en')} lines. The rest would be ignored.
          </p>
        )}
        {state === 'failed' && (
          <p role="alert" className="text-error mb-2">
            {issueSentence({ code: 'script-not-read', at: '', facts: {} })} Your text is still here.
          </p>
        )}
        {read && read.unreadFrom !== null && (
          <p role="alert" className="text-error mb-2">
            {issueSentence({
              code: 'script-too-many-steps',
              at: '',
              facts: { max: LIMITS.stepsInPlan, line: read.unreadFrom },
            })}
          </p>
        )}
        {trouble.length > 0 && (
          <div role="alert" className="mb-2">
            <p className="text-error">The class cannot be created like this. Your text is still here.</p>
            <IssueList issues={trouble} />
          </div>
        )}
        {state !== 'failed' && (
          <ScriptLines
            lines={read?.lines ?? []}
            put={put}
            onPut={(number, kind) => setPut(new Map([...put, [number, kind]]))}
          />
        )}
      </section>
    </div>
  );
}

const NONE_KNOWN: ReadonlyMap<string, LibraryEntry> = new Map();

function ReadingSaid({ read, slow }: { readonly read: ReadScript | null; readonly slow: boolean }) {
  const unsure = read?.lines.filter((line) => line.unsure).length ?? 0;
  return (
    <p role="status">
      {slow && 'Reading …'}
      {!slow && read && `${stepsSaid(read)}, ${formatClock(toSeconds(planMilliseconds(read.plan)))} long`}
      {!slow && unsure > 0 && (
        <span className="text-warning">
          {' '}
          · {unsure === 1 ? '1 line is uncertain (?)' : `${unsure} lines are uncertain (?)`}
        </span>
      )}
    </p>
  );
}

function stepsSaid({ plan, unreadFrom }: ReadScript): string {
  if (unreadFrom !== null) return `More than ${LIMITS.stepsInPlan.toLocaleString('en')} steps`;
  const steps = stepsInOrder(plan).length;
  return steps === 1 ? '1 step' : `${steps} steps`;
}

/** What was pasted last stays in this browser, so that a reload loses nothing. */
function keep(text: string): void {
  try {
    localStorage.setItem(KEPT_AS, text);
  } catch {
    // A browser that keeps nothing still reads scripts.
  }
}

function kept(): string {
  try {
    return localStorage.getItem(KEPT_AS) ?? '';
  } catch {
    return '';
  }
}
