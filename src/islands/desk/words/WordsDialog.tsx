import { useState } from 'react';
import { findStep, rewordEdit, type Reworded } from '@/core/plan';
import { readCueSheet, type CueSheetRead } from '@/core/interchange';
import { findAndReplace } from '@/core/script';
import type { Issue } from '@/core/units';
import { decodeText } from '@/files/decode-text';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { useDesk, useDeskStore } from '../use-desk';

/** Words over the whole class: find and replace, and a cue sheet brought back; what would change is shown first. */
export function WordsDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog title="Find and replace" wide onClose={onClose}>
      <FindReplace onClose={onClose} />
      <h3 className="mt-5 font-semibold">Cue sheet</h3>
      <CueSheetIn onClose={onClose} />
    </Dialog>
  );
}

function FindReplace({ onClose }: { readonly onClose: () => void }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const [find, setFind] = useState('');
  const [replace, setReplace] = useState('');
  const [matchCase, setMatchCase] = useState(false);
  const [wholeWords, setWholeWords] = useState(true);
  const found = findAndReplace(plan, { find, replace, matchCase, wholeWords });
  const [skipped, setSkipped] = useState<ReadonlySet<string>>(new Set());
  const chosen = found.filter((change) => !skipped.has(keyOf(change)));
  const toggle = (change: Reworded): void => {
    const next = new Set(skipped);
    if (!next.delete(keyOf(change))) next.add(keyOf(change));
    setSkipped(next);
  };
  const field = (label: string, value: string, change: (text: string) => void) => (
    <label className="flex flex-1 flex-col text-sm">
      {label}
      <input
        type="text"
        className="input input-sm w-full font-serif text-base"
        maxLength={200}
        value={value}
        onChange={(event) => change(event.target.value)}
      />
    </label>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        const edit = rewordEdit(desk.getState().plan, chosen);
        if (!edit) return;
        desk.edit(edit);
        onClose();
      }}
    >
      <div className="flex gap-3">
        {field('Find', find, setFind)}
        {field('Replace with', replace, setReplace)}
      </div>
      <div className="my-2 flex flex-wrap gap-x-6">
        <CheckBox label="Whole words only" checked={wholeWords} onChange={setWholeWords} />
        <CheckBox label="Match case" checked={matchCase} onChange={setMatchCase} />
      </div>
      <p role="status" className="text-sm">
        {find === '' ? 'Searches every spoken line.' : `${found.length} ${found.length === 1 ? 'line' : 'lines'}`}
      </p>
      {found.length > 0 && <Changes changes={found} skipped={skipped} onToggle={toggle} />}
      <button type="submit" className="btn btn-sm btn-primary mt-2" disabled={chosen.length === 0}>
        Replace in {chosen.length === 1 ? '1 line' : `${chosen.length} lines`}
      </button>
    </form>
  );
}

const keyOf = ({ stepId, place }: Reworded): string => `${stepId} ${place}`;

interface ChangesProps {
  readonly changes: readonly Reworded[];
  /** Those that are left as they are, by their keys; with it each line can be left out by itself. */
  readonly skipped?: ReadonlySet<string>;
  readonly onToggle?: (change: Reworded) => void;
}

/** Lines as they are and as they would be. */
function Changes({ changes, skipped, onToggle }: ChangesProps) {
  const plan = useDesk((state) => state.plan);
  return (
    <ul
      className="border-base-300 max-h-56 overflow-auto rounded border px-2"
      tabIndex={0}
      aria-label="What would change"
    >
      {changes.map((change) => (
        <li key={`${change.stepId} ${change.place}`} className="border-base-300 border-b py-1 font-serif">
          {onToggle ? (
            <CheckBox
              label={`Replace in ${findStep(plan, change.stepId)?.step.name ?? ''}`}
              checked={!skipped?.has(keyOf(change))}
              onChange={() => onToggle(change)}
            />
          ) : (
            <>
              <span className="quiet-ink font-sans text-sm">{findStep(plan, change.stepId)?.step.name}</span>
              <br />
            </>
          )}
          <del className="quiet-ink">{change.from}</del>
          <br />
          <ins className="no-underline">{change.to === '' ? <em>nothing</em> : change.to}</ins>
        </li>
      ))}
    </ul>
  );
}

function CueSheetIn({ onClose }: { readonly onClose: () => void }) {
  const desk = useDeskStore();
  const [read, setRead] = useState<CueSheetRead | null>(null);
  const [problem, setProblem] = useState<Issue | null>(null);
  const take = async (file: File): Promise<void> => {
    const { text } = decodeText(new Uint8Array(await file.arrayBuffer()));
    const found = readCueSheet(text, desk.getState().plan);
    setRead(found.ok ? found.value : null);
    setProblem(found.ok ? null : found.problem);
  };
  return (
    <>
      <p className="mb-2 text-sm">
        Save one with Publish, change the column “line” in any spreadsheet, and choose it here. Times are ignored: they
        follow from the breath.
      </p>
      <label className="btn btn-sm">
        Choose a cue sheet
        <input
          type="file"
          accept=".csv,text/csv"
          className="sr-only"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void take(file);
            event.target.value = '';
          }}
        />
      </label>
      {problem && <IssueList issues={[problem]} />}
      {read && (
        <div className="mt-2">
          <p role="status" className="text-sm">
            {read.changes.length === 0
              ? 'The cue sheet has the same lines as the class. Nothing to change.'
              : `The cue sheet changes the words of ${read.changes.length} ${read.changes.length === 1 ? 'line' : 'lines'}.`}
          </p>
          {read.notes.length > 0 && <IssueList issues={read.notes} />}
          {read.changes.length > 0 && <Changes changes={read.changes} />}
          {read.edit && (
            <button
              type="button"
              className="btn btn-sm btn-primary mt-2"
              onClick={() => {
                const { edit } = read;
                if (edit) desk.edit(edit);
                onClose();
              }}
            >
              Use {read.changes.length === 1 ? 'this line' : `these ${read.changes.length} lines`}
            </button>
          )}
        </div>
      )}
    </>
  );
}
