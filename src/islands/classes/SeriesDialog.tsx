import { useState } from 'react';
import type { ListedClass } from '@/api/classes';
import type { ListedSeries } from '@/api/series';
import { LIMITS } from '@/core/plan';
import { Dialog } from '@/ui/parts/Dialog';

interface Props {
  readonly entry: ListedClass;
  readonly series: readonly ListedSeries[];
  readonly onPut: (seriesId: string | null) => void;
  readonly onNew: (title: string) => void;
  readonly onClose: () => void;
}

/** Which series a class stands in. */
export function SeriesDialog({ entry, series, onPut, onNew, onClose }: Props) {
  const [title, setTitle] = useState('');
  return (
    <Dialog title={`Series of ${entry.title}`} onClose={onClose}>
      <ul>
        {series.map((one) => (
          <li key={one.id} className="border-base-300 flex items-center justify-between gap-3 border-b py-1">
            {one.title}
            <button
              type="button"
              className="btn btn-sm"
              disabled={entry.seriesId === one.id}
              onClick={() => onPut(one.id)}
            >
              {entry.seriesId === one.id ? 'Already in this series' : 'Add to the end'}
            </button>
          </li>
        ))}
      </ul>
      {entry.seriesId !== null && (
        <button type="button" className="btn btn-sm mt-2" onClick={() => onPut(null)}>
          Remove from its series
        </button>
      )}
      <form
        className="mt-3 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (title.trim() !== '') onNew(title.trim());
        }}
      >
        <label className="flex flex-1 flex-col">
          New series
          <input
            className="input w-full"
            value={title}
            maxLength={LIMITS.titleCharacters}
            autoComplete="off"
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        <button type="submit" className="btn" disabled={title.trim() === ''}>
          Create series
        </button>
      </form>
    </Dialog>
  );
}
