import { useState } from 'react';
import { send } from '@/api/client';
import { STUDIO_NAME_CHARACTERS } from '@/api/studio';
import { Dialog } from '../parts/Dialog';

interface Props {
  readonly name: string;
  readonly onNamed: (name: string) => void;
  readonly onClose: () => void;
}

/** What the studio is called. */
export function StudioNameDialog({ name, onNamed, onClose }: Props) {
  const [typed, setTyped] = useState(name);
  const [trouble, setTrouble] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    const answer = await send<{ readonly name: string }>('PUT', '/api/studio', { was: name, name: typed.trim() });
    if (!answer.ok) {
      setTrouble(
        answer.status === 409
          ? 'The name of the studio was changed in another window. Reload the page to see it.'
          : answer.problem.detail,
      );
      return;
    }
    onNamed(answer.value.name);
    onClose();
  };
  return (
    <Dialog title="Name of the studio" onClose={onClose}>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <label className="flex min-w-0 flex-1 flex-col">
          Name
          <input
            className="input w-full"
            value={typed}
            maxLength={STUDIO_NAME_CHARACTERS}
            data-first
            autoComplete="off"
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="btn btn-primary" disabled={typed.trim() === ''}>
          Save
        </button>
      </form>
      {trouble && (
        <p role="alert" className="text-error mt-2">
          {trouble}
        </p>
      )}
    </Dialog>
  );
}
