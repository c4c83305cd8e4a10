import { useMemo, useRef, useState } from 'react';
import type { LibraryEntry } from '@/api/movements';
import { LIMITS, planMilliseconds, readPlan, stepsInOrder } from '@/core/plan';
import { SCRIPT_LIMITS, type ReadScript } from '@/core/plain-script';
import { formatClock, toSeconds, type Issue } from '@/core/units';
import { CheckBox } from '@/ui/parts/CheckBox';
import { issueSentence } from '@/messages/issues';
import { IssueList } from '@/ui/parts/IssueList';
import { useKey } from '@/ui/parts/use-keys';
import { LINE_KIND_WORDS } from '@/messages/script';
import type { Begin } from './begin';
import { isOpen, type Corrections } from './corrections';
import { knownMovements, withLibrary } from './from-library';
import { ScriptLines } from './ScriptLines';
import { useScript, type Script } from './use-script';

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
  const create = useRef<HTMLButtonElement>(null);
  const script = useScript(() => create.current?.focus());
  const { text, read, state, newest } = script;
  useKey('n', () => script.lookOn(script.looked?.number ?? 0));
  const [useLibrary, setUseLibrary] = useState(true);
  const [trouble, setTrouble] = useState<readonly Issue[]>([]);
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
            onChange={(event) => script.write(event.target.value)}
          />
        </label>
        {text === '' && (
          <button type="button" className="btn btn-sm self-start" onClick={() => script.write(EXAMPLE)}>
            Use an example
          </button>
        )}
      </div>
      <section
        aria-label="How each line was understood"
        className="min-w-0 lg:flex lg:h-[calc(100dvh-5.5rem)] lg:flex-col"
      >
        <div className="mb-2 flex items-center gap-4">
          <ReadingSaid read={read} slow={state === 'slow'} corrections={script.corrections} />
          <button
            ref={create}
            type="button"
            className="btn btn-primary btn-sm ml-auto"
            disabled={busy || tooLong || read?.unreadFrom !== null || stepsInOrder(read.plan).length === 0}
            onClick={() => void make()}
          >
            Create class
          </button>
        </div>
        <div className="mb-2 flex flex-wrap gap-2 empty:hidden">
          <CheckGuesses script={script} />
          <BreakUp script={script} tooLong={tooLong} />
        </div>
        {known.size > 0 && (
          <CheckBox
            label={`Fill in breath, words and cautions from the library for ${known.size === 1 ? 'one movement' : `${known.size} movements`}`}
            checked={useLibrary}
            onChange={setUseLibrary}
          />
        )}
        <ScriptTroubles script={script} tooLong={tooLong} trouble={trouble} />
        {state !== 'failed' && (
          <ScriptLines
            lines={read?.lines ?? []}
            corrections={script.corrections}
            looked={script.looked}
            onPut={script.put}
            onRight={script.confirm}
          />
        )}
      </section>
    </div>
  );
}

const NONE_KNOWN: ReadonlyMap<string, LibraryEntry> = new Map();

/** What is wrong with a script as a whole, or with the class that would be made of it. */
function ScriptTroubles({
  script: { read, state },
  tooLong,
  trouble,
}: {
  readonly script: Script;
  readonly tooLong: boolean;
  readonly trouble: readonly Issue[];
}) {
  return (
    <>
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
    </>
  );
}

/** The way to the next guess, and lines like the one that was corrected last. */
function CheckGuesses({ script }: { readonly script: Script }) {
  const { read, corrections, looked, alike } = script;
  const open = read?.lines.some((line) => isOpen(line, corrections)) ?? false;
  return (
    <>
      {open && (
        <button type="button" className="btn btn-sm" onClick={() => script.lookOn(looked?.number ?? 0)}>
          {looked ? 'Next uncertain line' : 'Check uncertain lines'}
        </button>
      )}
      {alike && (
        <button type="button" className="btn btn-sm" onClick={script.putAlike}>
          {alike.numbers.length === 1
            ? `Line ${alike.numbers[0]} looks like line ${alike.of}: ${LINE_KIND_WORDS[alike.kind]} too`
            : `${alike.numbers.length} more lines look like line ${alike.of}: ${LINE_KIND_WORDS[alike.kind]} too`}
        </button>
      )}
    </>
  );
}

/** The way from long lines to a line for each sentence, and back; not from a text of which only a part is read. */
function BreakUp({
  script: { breakUp, undoBreakUp },
  tooLong,
}: {
  readonly script: Script;
  readonly tooLong: boolean;
}) {
  return (
    <>
      {breakUp && !tooLong && (
        <button
          type="button"
          className="btn btn-sm"
          title="A long line names several steps. With a line for each sentence you can correct each one."
          onClick={() => void breakUp()}
        >
          One sentence per line
        </button>
      )}
      {undoBreakUp && (
        <button type="button" className="btn btn-sm" onClick={undoBreakUp}>
          Undo one sentence per line
        </button>
      )}
    </>
  );
}

function ReadingSaid({
  read,
  slow,
  corrections,
}: {
  readonly read: ReadScript | null;
  readonly slow: boolean;
  readonly corrections: Corrections;
}) {
  const open = read?.lines.filter((line) => isOpen(line, corrections)).length ?? 0;
  return (
    <p role="status">
      {slow && 'Reading …'}
      {!slow && read && `${stepsSaid(read)}, ${formatClock(toSeconds(planMilliseconds(read.plan)))} long`}
      {!slow && open > 0 && (
        <span className="text-warning">
          {' '}
          · {open === 1 ? '1 line is uncertain (?)' : `${open} lines are uncertain (?)`}
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
