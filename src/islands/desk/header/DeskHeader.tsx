import { Redo2, Undo2 } from 'lucide-react';
import { AppHead } from '@/ui/layout/AppHead';
import { ITEM, MenuButton } from '@/ui/parts/Menu';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ConflictDialog } from './ConflictDialog';
import { DESK_KEYS, DeskKeysNote } from './desk-keys-list';
import { SaveMark } from './SaveMark';
import { useDesk, useDeskStore } from '../use-desk';

interface Props {
  readonly studio: string;
  readonly takes: number;
  readonly view: 'timeline' | 'lengths';
  /** Findings that are open; `checking` while the panel shows them. */
  readonly findings: number;
  readonly checking: boolean;
  readonly onChecks: () => void;
  readonly flush: () => Promise<boolean>;
  readonly onSettle: (keep: 'ours' | 'theirs') => void;
  readonly onView: (view: 'timeline' | 'lengths') => void;
  readonly onPublish: () => void;
  readonly onPrompter: () => void;
}

/** The class's name, how it is saved, and where one can go from here. */
export function DeskHeader(props: Props) {
  const { studio, takes, view, findings, checking, flush, onSettle, onView, onChecks, onPublish, onPrompter } = props;
  const title = useDesk((state) => state.plan.title);
  const lengths = useDesk((state) => state.plan.lengths.length);
  const classId = useDesk((state) => state.classId);
  // Another page reads what is stored, so what waits is sent first.
  const leave = (href: string): void => void flush().then(() => location.assign(href));
  const away = (path: string, words: string, className: string) => (
    <a
      className={className}
      href={`/classes/${classId}/${path}`}
      onClick={(event) => {
        event.preventDefault();
        leave(event.currentTarget.pathname);
      }}
    >
      {words}
    </a>
  );
  const lengthWords = view === 'lengths' ? 'Back to the timeline' : `Lengths${lengths > 0 ? ` ${lengths + 1}` : ''}`;
  const otherView = view === 'lengths' ? 'timeline' : 'lengths';
  const takesWords = `Takes${takes > 0 ? ` ${takes}` : ''}`;
  return (
    <div className="border-base-300 shrink-0 border-b px-5 pt-1.5 max-md:px-3">
      <AppHead
        compact
        studio={studio}
        trail={[]}
        title={title}
        keys={DESK_KEYS}
        keysNote={<DeskKeysNote />}
        onAway={leave}
        beside={
          <>
            <SaveMark />
            <ConflictDialog onSettle={onSettle} />
          </>
        }
        menu={
          <>
            <div className="md:hidden">
              <KeepOnTarget />
            </div>
            <div className="xl:hidden">
              <MenuButton onClick={() => onView(otherView)}>{lengthWords}</MenuButton>
              {away('preview', 'Preview', ITEM)}
              {away('history', 'History', ITEM)}
              <MenuButton onClick={onPublish}>Publish</MenuButton>
              <div className="md:hidden">{away('takes', takesWords, ITEM)}</div>
              <hr className="border-base-300 my-1" />
            </div>
          </>
        }
      >
        <UndoRedo />
        <button type="button" className="btn btn-sm max-md:hidden" aria-pressed={checking} onClick={onChecks}>
          Checks{findings > 0 ? ` ${findings}` : ''}
        </button>
        <button
          type="button"
          className="btn btn-sm max-xl:hidden"
          aria-pressed={view === 'lengths'}
          onClick={() => onView(otherView)}
        >
          {lengthWords}
        </button>
        {away('preview', 'Preview', 'btn btn-sm max-xl:hidden')}
        {away('history', 'History', 'btn btn-sm max-xl:hidden')}
        {away('takes', takesWords, 'btn btn-sm max-md:hidden')}
        <button type="button" className="btn btn-sm max-xl:hidden" onClick={onPublish}>
          Publish
        </button>
        <button type="button" className="btn btn-sm btn-primary max-md:hidden" onClick={onPrompter}>
          Prompter
        </button>
      </AppHead>
    </div>
  );
}

/** Whether each edit refits the class. */
export function KeepOnTarget() {
  const desk = useDeskStore();
  const kept = useDesk((state) => state.plan.keepOnTarget);
  return (
    <CheckBox
      label="Keep on target"
      title="Each edit refits what is not pinned, and leaves what you have just set"
      checked={kept}
      onChange={(value) => desk.edit({ kind: 'set-plan', field: 'keepOnTarget', value })}
    />
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
        className="btn btn-sm btn-square max-md:hidden"
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
