import { useState } from 'react';
import type { ShelfClass } from '@/api/classes';
import { LIMITS } from '@/core/plan';
import { Choice } from '@/ui/parts/Choice';
import { ClockField } from '@/ui/parts/ClockField';
import { Dialog } from '@/ui/parts/Dialog';
import { NumberField } from '@/ui/parts/NumberField';

interface Props {
  readonly classes: readonly ShelfClass[];
  readonly onCreate: (body: object) => Promise<boolean>;
  readonly onClose: () => void;
}

/** A new class: from nothing, or from one on the shelf. */
export function NewClass({ classes, onCreate, onClose }: Props) {
  const [title, setTitle] = useState('');
  const [from, setFrom] = useState('nothing');
  const [targetSeconds, setTarget] = useState(600);
  const [breathSeconds, setBreath] = useState(9);
  const [busy, setBusy] = useState(false);
  const tooLong = [...title].length > LIMITS.titleCharacters;
  const fromNothing = from === 'nothing';
  const make = async (): Promise<void> => {
    setBusy(true);
    const named = title.trim() === '' ? undefined : title.trim();
    const body = fromNothing
      ? { from: 'nothing', title: named ?? 'New class', targetSeconds, breathSeconds }
      : { from: 'class', classId: from, title: named };
    if (!(await onCreate(body))) setBusy(false);
  };
  return (
    <Dialog title="New class" onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!tooLong) void make();
        }}
      >
        <label className="flex flex-col">
          Title
          <input
            className="input w-full"
            value={title}
            autoFocus
            placeholder="New class"
            aria-invalid={tooLong}
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        {tooLong && (
          <p role="alert" className="text-error text-sm">
            {[...title].length} characters; at most {LIMITS.titleCharacters}.
          </p>
        )}
        <Choice
          label="Start from"
          value={from}
          options={[
            { value: 'nothing', label: 'nothing' },
            ...classes.map((entry) => ({ value: entry.id, label: entry.title.slice(0, 60) })),
          ]}
          onChange={setFrom}
        />
        {fromNothing && (
          <>
            <ClockField
              label="Target"
              seconds={targetSeconds}
              least={LIMITS.targetSeconds.least}
              most={LIMITS.targetSeconds.most}
              onChange={setTarget}
            />
            <NumberField
              label="One breath"
              unit="s"
              digits={1}
              step={0.1}
              value={breathSeconds}
              {...LIMITS.breathSeconds}
              onChange={setBreath}
            />
          </>
        )}
        <button type="submit" className="btn btn-primary self-start" disabled={busy || tooLong}>
          Begin
        </button>
      </form>
    </Dialog>
  );
}
