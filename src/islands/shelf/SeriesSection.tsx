import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { ShelfClass } from '@/api/classes';
import type { ShelfSeries } from '@/api/series';
import { LIMITS } from '@/core/plan';
import { TextField } from '@/ui/parts/TextField';
import { ShelfTable, type RowActions } from './ShelfTable';
import type { Arranged } from './use-shelf';

interface Props {
  readonly series: ShelfSeries;
  readonly classes: readonly ShelfClass[];
  readonly actions: RowActions;
  readonly onRename: (title: string) => void;
  readonly onArrange: (arranged: Arranged) => void;
  readonly onNext: () => void;
  readonly onRemove: () => void;
}

/** A series in its own row of the shelf: its classes in order, and the next one from the last. */
export function SeriesSection({ series, classes, actions, onRename, onArrange, onNext, onRemove }: Props) {
  const [title, setTitle] = useState(series.title);
  const move = (entry: ShelfClass, by: -1 | 1): void =>
    onArrange((ids) => {
      const at = ids.indexOf(entry.id);
      const moved = [...ids];
      [moved[at], moved[at + by]] = [moved[at + by], moved[at]];
      return moved;
    });
  return (
    <section aria-label={`Series: ${series.title}`} className="mb-6">
      <div className="mb-2 flex items-center gap-3">
        <h2 className="sr-only">{series.title}</h2>
        <div className="max-w-md flex-1">
          <TextField
            label={`Title of the series ${series.title}`}
            hideLabel
            needed
            className="text-lg font-semibold"
            value={title}
            most={LIMITS.titleCharacters}
            onChange={setTitle}
            onDone={() => {
              if (title !== series.title) onRename(title);
            }}
          />
        </div>
        <span className="quiet-ink text-sm">{classes.length === 1 ? '1 class' : `${classes.length} classes`}</span>
        <button type="button" className="btn btn-sm ml-auto" onClick={onNext}>
          <Plus size={14} aria-hidden />
          {classes.length === 0 ? 'First class' : 'Next, from the last'}
        </button>
        <button type="button" className="btn btn-sm" onClick={onRemove} title="Its classes stay on the shelf">
          Ungroup
        </button>
      </div>
      {classes.length > 0 && <ShelfTable label={series.title} classes={classes} {...actions} onMove={move} />}
    </section>
  );
}
