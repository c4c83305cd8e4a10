import { useContext, useState } from 'react';
import type { MovementResponse } from '@/api/movements';
import { differingFields, type MovementContent } from '@/core/movement';
import { copyContent } from '@/core/movement';
import { pick } from '@/core/document';
import { setFields, setStep, type MovementStep } from '@/core/plan';
import { FIELD_WORDS } from '@/messages/movement';
import { valueWords } from '@/messages/movement-values';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Dialog } from '@/ui/parts/Dialog';
import { MovementMedia } from '@/ui/parts/MovementMedia';
import { addToLibrary, fetchMovement, LibraryContext, useLibrary } from '../library-context';
import { useDeskStore } from '../use-desk';

/** The movement in the library: its picture, whether it has changed since, or how to add it. */
export function LibraryNotice({ step }: { readonly step: MovementStep }) {
  const library = useLibrary();
  const entry = step.source && library.find((one) => one.id === step.source?.movementId);
  return (
    <>
      {entry?.media && (
        <MovementMedia
          movementId={entry.id}
          name={step.name}
          media={entry.media}
          className="my-2 max-h-44 max-w-full rounded"
        />
      )}
      {!entry && <AddToLibrary step={step} />}
      <ChangeNotice step={step} />
    </>
  );
}

/** Puts the movement of this class into the library with one press. */
function AddToLibrary({ step }: { readonly step: MovementStep }) {
  const desk = useDeskStore();
  const { onAdded } = useContext(LibraryContext);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const add = async (): Promise<void> => {
    setBusy(true);
    const made = await addToLibrary(step);
    setBusy(false);
    if ('problem' in made) return setTrouble(made.problem);
    setTrouble(null);
    onAdded(made);
    const value = { movementId: made.id, revision: made.revision };
    desk.edit(setStep(step, 'source', value));
    return undefined;
  };
  return (
    <div className="my-2">
      <button type="button" className="btn btn-xs" disabled={busy} onClick={() => void add()}>
        Add to the library
      </button>
      {trouble && (
        <p role="alert" className="text-error text-sm">
          {trouble}
        </p>
      )}
    </div>
  );
}

function ChangeNotice({ step }: { readonly step: MovementStep }) {
  const library = useLibrary();
  const [open, setOpen] = useState<MovementResponse | 'away' | null>(null);
  const { source } = step;
  const entry = source && library.find((one) => one.id === source.movementId);
  if (!source || !entry || entry.revision <= source.revision) return null;
  return (
    <div className="bg-secondary my-2 rounded p-2 text-sm">
      The movement in the library has changed since this class copied it.{' '}
      <button
        type="button"
        className="btn btn-xs"
        onClick={() => void fetchMovement(entry.id).then((found) => setOpen(found ?? 'away'))}
      >
        Show what would change
      </button>
      {open === 'away' && <p role="alert">The library does not answer at the moment. Nothing was changed.</p>}
      {open !== null && open !== 'away' && <Differences step={step} theirs={open} onClose={() => setOpen(null)} />}
    </div>
  );
}

interface Props {
  readonly step: MovementStep;
  readonly theirs: MovementResponse;
  readonly onClose: () => void;
}

/** Field by field: here, and in the library; take all, some, or none. */
function Differences({ step, theirs, onClose }: Props) {
  const desk = useDeskStore();
  const fields = differingFields(step, theirs.movement);
  const [taken, setTaken] = useState<ReadonlySet<keyof MovementContent>>(new Set(fields));
  const settle = (take: ReadonlySet<keyof MovementContent>): void => {
    const fresh = copyContent(() => crypto.randomUUID(), theirs.movement);
    const source = { movementId: theirs.id, revision: theirs.revision };
    const wanted = pick<MovementContent, keyof MovementContent>(
      fresh,
      fields.filter((field) => take.has(field)),
    );
    const edit = setFields<MovementStep>(step, { ...wanted, source });
    if (edit) desk.edit(edit);
    onClose();
  };
  return (
    <Dialog title={`${step.name}: changed in the library`} wide onClose={onClose}>
      {fields.length === 0 && <p>The copy in this class is already the same.</p>}
      {fields.length > 0 && (
        <table className="table-sm table">
          <thead>
            <tr>
              <th scope="col">Use</th>
              <th scope="col">Here</th>
              <th scope="col">In the library</th>
            </tr>
          </thead>
          <tbody>
            {fields.map((field) => (
              <tr key={field}>
                <td className="w-48">
                  <CheckBox
                    label={FIELD_WORDS[field]}
                    checked={taken.has(field)}
                    onChange={(on) => setTaken(new Set(fields.filter((one) => (one === field ? on : taken.has(one)))))}
                  />
                </td>
                <td>{valueWords(field, step)}</td>
                <td>{valueWords(field, theirs.movement)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="mt-3 flex gap-2">
        {fields.length > 0 && (
          <button
            type="button"
            className="btn btn-primary btn-sm"
            disabled={taken.size === 0}
            onClick={() => settle(taken)}
          >
            {taken.size === fields.length ? 'Use all of it' : `Use these ${taken.size}`}
          </button>
        )}
        <button type="button" className="btn btn-sm" onClick={() => settle(new Set())}>
          Keep this class’s copy
        </button>
      </div>
    </Dialog>
  );
}
