import { Keyboard, Redo2, Undo2 } from 'lucide-react';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { PageLinks } from '@/ui/parts/PageLinks';
import { ConflictDialog } from './ConflictDialog';
import { SaveMark } from './SaveMark';
import { useDesk, useDeskStore } from './use-desk';

interface Props {
  readonly studio: string;
  readonly takes: number;
  readonly view: 'strip' | 'lengths';
  /** Findings that are open; `checking` while the panel shows them. */
  readonly findings: number;
  readonly checking: boolean;
  readonly onChecks: () => void;
  readonly flush: () => Promise<boolean>;
  readonly onSettle: (keep: 'ours' | 'theirs') => void;
  readonly onView: (view: 'strip' | 'lengths') => void;
  readonly onKeys: () => void;
  readonly onPublish: () => void;
  readonly onGuide: () => void;
}

/** The class's name, how it is saved, and where one can go from here. */
export function DeskHeader({
  studio,
  takes,
  view,
  findings,
  checking,
  flush,
  onSettle,
  onView,
  onChecks,
  onKeys,
  onPublish,
  onGuide,
}: Props) {
  const title = useDesk((state) => state.plan.title);
  const lengths = useDesk((state) => state.plan.lengths.length);
  const classId = useDesk((state) => state.classId);
  // Another page reads what is stored, so what waits is sent first.
  const away = (path: string, words: string) => (
    <a
      className="btn btn-sm"
      href={`/classes/${classId}/${path}`}
      onClick={(event) => {
        event.preventDefault();
        void flush().then(() => location.assign(`/classes/${classId}/${path}`));
      }}
    >
      {words}
    </a>
  );
  return (
    <header className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-5 py-2">
      <PageLinks studio={studio} />
      <h1 className="truncate">{title}</h1>
      <SaveMark />
      <ConflictDialog onSettle={onSettle} />
      <span className="no-print ml-auto flex flex-wrap items-center gap-2">
        <UndoRedo />
        <ThemeSwitch />
        <button type="button" className="btn btn-sm btn-square" aria-label="Keys" title="Keys" onClick={onKeys}>
          <Keyboard size={16} aria-hidden />
        </button>
        <button type="button" className="btn btn-sm" aria-pressed={checking} onClick={onChecks}>
          Checks{findings > 0 ? ` ${findings}` : ''}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          aria-pressed={view === 'lengths'}
          onClick={() => onView(view === 'lengths' ? 'strip' : 'lengths')}
        >
          {view === 'lengths' ? 'Back to the strip' : `Lengths${lengths > 0 ? ` ${lengths + 1}` : ''}`}
        </button>
        {away('read-through', 'Hear it')}
        {away('history', 'History')}
        {away('takes', `Takes${takes > 0 ? ` ${takes}` : ''}`)}
        <button type="button" className="btn btn-sm" onClick={onPublish}>
          Publish
        </button>
        <button type="button" className="btn btn-sm btn-primary" onClick={onGuide}>
          Guide
        </button>
      </span>
    </header>
  );
}

function UndoRedo() {
  const desk = useDeskStore();
  const canUndo = useDesk((state) => state.done.length > 0);
  const canRedo = useDesk((state) => state.undone.length > 0);
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-square"
        aria-label="Undo"
        title="Undo"
        disabled={!canUndo}
        onClick={desk.undo}
      >
        <Undo2 size={16} aria-hidden />
      </button>
      <button
        type="button"
        className="btn btn-sm btn-square"
        aria-label="Redo"
        title="Redo"
        disabled={!canRedo}
        onClick={desk.redo}
      >
        <Redo2 size={16} aria-hidden />
      </button>
    </>
  );
}
