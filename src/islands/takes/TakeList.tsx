import { useState } from 'react';
import { send } from '@/api/client';
import type { ListedTake } from '@/api/takes';
import { TakeGlancePicture } from './TakeGlancePicture';

interface ListProps {
  readonly classId: string;
  readonly takes: readonly ListedTake[];
}

/** The takes so far, to open and to remove. */
export function TakeList({ classId, takes: first }: ListProps) {
  const [takes, setTakes] = useState(first);
  const [removed, setRemoved] = useState<ListedTake | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const remove = async (take: ListedTake): Promise<void> => {
    const answer = await send('DELETE', `/api/takes/${take.id}`);
    if (!answer.ok) return setTrouble(answer.problem.detail);
    setTrouble(null);
    setTakes((before) => before.filter((one) => one !== take));
    return setRemoved(take);
  };
  const restore = async (): Promise<void> => {
    const answer = removed && (await send('POST', `/api/bin/take/${removed.id}/restore`, {}));
    if (answer?.ok) location.reload();
    else if (answer) setTrouble(answer.problem.detail);
  };
  return (
    <>
      {removed && (
        <p role="status" className="bg-secondary mb-3 flex items-center justify-between rounded px-3 py-2">
          {removed.name} was moved to the bin.
          <button type="button" className="btn btn-sm" onClick={() => void restore()}>
            Undo
          </button>
        </p>
      )}
      {trouble && (
        <p role="alert" className="text-error mb-3">
          {trouble}
        </p>
      )}
      {takes.length === 0 ? (
        <p>No take yet. Add one above; it is compared with the plan as it stands now.</p>
      ) : (
        <ul>
          {takes.map((take) => (
            <li
              key={take.id}
              className="bg-base-100 mb-2 grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 rounded-lg px-4 py-2 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)_9rem_auto]"
            >
              <a
                className="hover:text-primary min-h-6 min-w-0 truncate font-semibold"
                href={`/classes/${classId}/takes/${take.id}`}
              >
                {take.name}
              </a>
              <TakeGlancePicture take={take} />
              <span className="quiet-ink shrink-0 text-right text-sm">
                {new Date(take.createdAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
              </span>
              <button type="button" className="btn btn-sm" onClick={() => void remove(take)}>
                Remove<span className="sr-only"> {take.name}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
