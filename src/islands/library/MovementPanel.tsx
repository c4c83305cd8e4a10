import { Archive, ArchiveRestore, Copy, Trash2, Redo2, Undo2 } from 'lucide-react';
import { useStore } from 'zustand';
import {
  asksRounds,
  copyContent,
  type Movement,
  MOVEMENT_LIMITS as LIMITS,
  PACINGS,
  SECTION_ROLES,
  SIDE_PLANS,
} from '@/core/movement';
import { issueText } from '@/messages/issues';
import { PACING_WORDS, ROLE_WORDS, SIDE_PLAN_WORDS } from '@/messages/movement';
import { withEach } from '@/messages/sides';
import { ConflictChoice } from '@/ui/parts/ConflictChoice';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { TextList } from '@/ui/parts/TextList';
import { AboutFields } from '@/ui/movement/AboutFields';
import { CountBounds } from '@/ui/movement/CountBounds';
import { PatternEditor } from '@/ui/movement/PatternEditor';
import { WordFields } from '@/ui/movement/WordFields';
import { MediaField } from './MediaField';
import type { LibraryStore, OpenMovement } from './library-store';

/** The breath that a pattern is drawn at in the library, where no class sets one: a common pace. */
const PACE = { breathSeconds: 9, inhaleShare: 0.45 };

/** The open movement, to be changed in place; it saves itself. */
export function MovementPanel({ store }: { readonly store: LibraryStore }) {
  const open = useStore(store, (state) => state.open);
  const entry = useStore(store, (state) => state.entries.find((one) => one.id === state.open?.id));
  const archived = entry?.archived;
  if (!open) {
    return (
      <aside aria-label="Movement" className="quiet-ink p-5">
        Choose a movement to see its breath, its words and its cautions, or add a new one.
      </aside>
    );
  }
  const { movement, id } = open;
  const { set } = store;
  return (
    <aside aria-label={`Movement: ${movement.name}`} className="p-4" key={id}>
      <TextField
        label="Name"
        hideLabel
        needed
        className="text-lg font-semibold"
        value={movement.name}
        max={LIMITS.titleCharacters}
        onChange={(name) => set('name', name)}
      />
      <SaveWords store={store} />
      <MovementActions store={store} open={open} archived={archived ?? false} />
      <MediaField
        movementId={id}
        name={movement.name}
        media={entry?.media ?? null}
        onChange={(media) => store.setMedia(id, media)}
      />
      <Choice
        label="Paced by"
        value={movement.pacedBy}
        options={PACINGS.map((value) => ({ value, label: PACING_WORDS[value] }))}
        onChange={(value) => set('pacedBy', value)}
      />
      {asksRounds(movement.pacedBy) && (
        <NumberField
          label={withEach('Preferred rounds', movement.sides)}
          value={movement.preferredRounds}
          min={1}
          max={LIMITS.rounds}
          onChange={(value) => set('preferredRounds', value)}
        />
      )}
      {movement.pacedBy !== 'breath' && (
        <ClockField
          label={movement.pacedBy === 'breath-then-own-pace' ? 'Then at own pace for' : 'Preferred time'}
          seconds={movement.preferredSeconds}
          {...LIMITS.countedSeconds}
          onChange={(value) => set('preferredSeconds', value)}
        />
      )}
      <CountBounds movement={movement} set={set} />
      <Choice
        label="Sides"
        value={movement.sides}
        options={SIDE_PLANS.map((value) => ({ value, label: SIDE_PLAN_WORDS[value] }))}
        onChange={(value) => set('sides', value)}
      />
      <NumberField
        label="Breath, × the class’s"
        unit="×"
        digits={2}
        step={0.05}
        value={movement.paceMultiplier}
        {...LIMITS.paceMultiplier}
        onChange={(value) => set('paceMultiplier', value)}
      />
      <PatternEditor
        pattern={movement.pattern}
        pace={{
          breathSeconds: PACE.breathSeconds * movement.paceMultiplier,
          inhaleShare: movement.inhaleShare ?? PACE.inhaleShare,
        }}
        onChange={(pattern) => set('pattern', pattern)}
      />
      <WordFields movement={movement} teachTitle="Taught first" set={set} />
      <Suits movement={movement} set={set} />
      <TextList
        label="Tags"
        items={movement.tags}
        max={LIMITS.tags}
        characters={LIMITS.tagCharacters}
        onChange={(tags) => set('tags', tags)}
      />
      <AboutFields movement={movement} set={set} />
    </aside>
  );
}

interface ActionProps {
  readonly store: LibraryStore;
  readonly open: OpenMovement;
  readonly archived: boolean;
}

function MovementActions({ store, open, archived }: ActionProps) {
  const { id, movement } = open;
  return (
    <div className="my-2 flex flex-wrap gap-1" role="group" aria-label="Movement">
      <button type="button" className="btn btn-sm" disabled={open.done.length === 0} onClick={store.undo}>
        <Undo2 size={14} aria-hidden />
        Undo
      </button>
      <button type="button" className="btn btn-sm" disabled={open.undone.length === 0} onClick={store.redo}>
        <Redo2 size={14} aria-hidden />
        Redo
      </button>
      <button
        type="button"
        className="btn btn-sm"
        onClick={() => {
          const copy = copyContent(() => crypto.randomUUID(), movement);
          void store.add({ ...copy, name: `${movement.name.slice(0, 190)}, copy` });
        }}
      >
        <Copy size={14} aria-hidden />
        Duplicate
      </button>
      <button type="button" className="btn btn-sm" onClick={() => void store.archive(id, !archived)}>
        {archived ? <ArchiveRestore size={14} aria-hidden /> : <Archive size={14} aria-hidden />}
        {archived ? 'Unarchive' : 'Archive'}
      </button>
      <button type="button" className="btn btn-sm" onClick={() => void store.remove(id)}>
        <Trash2 size={14} aria-hidden />
        Remove
      </button>
      <button type="button" className="btn btn-sm ml-auto xl:hidden" onClick={() => void store.close()}>
        Close
      </button>
    </div>
  );
}

/** The parts of a class that a movement suits. */
function Suits({ movement, set }: { readonly movement: Movement; readonly set: LibraryStore['set'] }) {
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Suits</legend>
      <div className="grid grid-cols-2 gap-x-4">
        {SECTION_ROLES.map((role) => (
          <CheckBox
            key={role}
            label={ROLE_WORDS[role]}
            checked={movement.roles.includes(role)}
            onChange={(on) =>
              set(
                'roles',
                SECTION_ROLES.filter((one) => (one === role ? on : movement.roles.includes(one))),
              )
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

/** Whether the movement is saved, and what to do where it cannot be. */
function SaveWords({ store }: { readonly store: LibraryStore }) {
  const save = useStore(store, (state) => state.open?.save);
  if (!save) return null;
  if (save.kind === 'conflict') {
    return (
      <div role="alert" className="text-accent text-sm">
        <ConflictChoice what="This movement was changed" onSettle={store.settle} />
      </div>
    );
  }
  if (save.kind === 'refused') {
    return (
      <div role="alert" className="text-error text-sm">
        Not saved: {save.issues.map((issue) => issueText(issue)).join(' ')}
      </div>
    );
  }
  const words = { saved: 'Saved', waiting: 'Saving', saving: 'Saving', away: 'No connection; trying again' }[save.kind];
  return (
    <p role="status" className="quiet-ink px-1 text-sm">
      {words}. Classes that use it keep their own copy.
    </p>
  );
}
