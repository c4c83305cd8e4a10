import { itemAt } from '@/core/units';
import { Ellipsis, Plus } from 'lucide-react';
import { useState } from 'react';
import type { ListedClass } from '@/api/classes';
import type { ListedSeries } from '@/api/series';
import { LIMITS } from '@/core/plan';
import { Dialog } from '@/ui/parts/Dialog';
import { Menu, MenuButton } from '@/ui/parts/Menu';
import { ClassTable, type RowActions } from './ClassTable';
import type { Arranged } from './use-class-list';

interface Props {
  readonly series: ListedSeries;
  readonly classes: readonly ListedClass[];
  readonly actions: RowActions;
  readonly onRename: (title: string) => void;
  readonly onArrange: (arranged: Arranged) => void;
  readonly onNext: () => void;
  readonly onRemove: () => void;
}

/** A series: its classes in order, and a new one from the last. */
export function SeriesSection({ series, classes, actions, onRename, onArrange, onNext, onRemove }: Props) {
  const [renaming, setRenaming] = useState<string | null>(null);
  const move = (entry: ListedClass, by: -1 | 1): void =>
    onArrange((ids) => {
      const at = ids.indexOf(entry.id);
      const moved = [...ids];
      [moved[at], moved[at + by]] = [itemAt(moved, at + by), itemAt(moved, at)];
      return moved;
    });
  return (
    <section aria-label={`Series: ${series.title}`} className="mb-6">
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <h2 className="min-w-0 truncate text-xl font-semibold">{series.title}</h2>
        <span className="quiet-ink">series of {classes.length}</span>
        <span className="ml-auto flex items-center gap-1">
          <button type="button" className="btn btn-sm btn-ghost" onClick={onNext}>
            <Plus size={14} aria-hidden />
            {classes.length === 0 ? 'First class' : 'New class from the last'}
          </button>
          <Menu
            label={`More for the series ${series.title}`}
            face={<Ellipsis size={16} aria-hidden />}
            className="btn btn-sm btn-square btn-ghost"
          >
            <MenuButton onClick={() => setRenaming(series.title)}>Rename…</MenuButton>
            <MenuButton onClick={onRemove}>Ungroup series…</MenuButton>
          </Menu>
        </span>
      </div>
      {classes.length > 0 && <ClassTable label={series.title} classes={classes} {...actions} onMove={move} />}
      {renaming !== null && (
        <Dialog title="Rename series" onClose={() => setRenaming(null)}>
          <form
            className="flex items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              const title = renaming.trim();
              setRenaming(null);
              if (title !== '' && title !== series.title) onRename(title);
            }}
          >
            <label className="flex min-w-0 flex-1 flex-col">
              Title of the series
              <input
                className="input w-full"
                value={renaming}
                maxLength={LIMITS.titleCharacters}
                data-first
                autoComplete="off"
                onChange={(event) => setRenaming(event.target.value)}
              />
            </label>
            <button type="submit" className="btn btn-primary" disabled={renaming.trim() === ''}>
              Save
            </button>
          </form>
        </Dialog>
      )}
    </section>
  );
}
