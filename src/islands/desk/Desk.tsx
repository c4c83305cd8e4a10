import { Keyboard, Redo2, Undo2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { createFitter } from '@/workers/fitter/client';
import { Guide } from '../guide/Guide';
import { PublishDialog } from '../publish/PublishDialog';
import { ConflictDialog } from './ConflictDialog';
import { createDesk } from './desk-store';
import { FitDialog } from './FitDialog';
import { keepOnTarget } from './keep-on-target';
import { Inspector } from './Inspector';
import { KeysDialog } from './KeysDialog';
import { Overview } from './Overview';
import { RuntimeBar } from './RuntimeBar';
import { SaveMark } from './SaveMark';
import { startSaving, takeUpDraft, type SaveLoop } from './save-loop';
import { Strip } from './Strip';
import { DeskContext, FitterContext, useDesk, useDeskStore } from './use-desk';
import { useDeskKeys } from './use-desk-keys';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly takes: number;
}

/** The class desk: one class, to be read, changed, fitted, performed and published. */
export function Desk({ studio, stored, takes }: Props) {
  const [desk] = useState(() => createDesk(stored.id, stored.plan, stored.revision));
  const loop = useRef<SaveLoop | null>(null);
  const [ready, setReady] = useState(false);
  const [fitter] = useState(createFitter);
  useEffect(() => {
    const stop = keepOnTarget(desk, fitter);
    return () => {
      stop();
      fitter.stop();
    };
  }, [desk, fitter]);
  useEffect(() => {
    loop.current = startSaving(desk);
    void takeUpDraft(desk).finally(() => setReady(true));
    return () => loop.current?.stop();
  }, [desk]);
  if (!ready) return null;
  return (
    <DeskContext.Provider value={desk}>
      <FitterContext.Provider value={fitter}>
        <DeskView studio={studio} takes={takes} flush={async () => (await loop.current?.flush()) ?? true} />
      </FitterContext.Provider>
    </DeskContext.Provider>
  );
}

type Over = 'fit' | 'publish' | 'keys' | 'guide' | null;

function DeskView({
  studio,
  takes,
  flush,
}: {
  readonly studio: string;
  readonly takes: number;
  readonly flush: () => Promise<boolean>;
}) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const classId = useDesk((state) => state.classId);
  const conflicted = useDesk((state) => state.save.kind === 'conflict');
  const [over, setOver] = useState<Over>(() => (location.hash === '#guide' ? 'guide' : null));
  const close = (): void => setOver(null);
  useDeskKeys(desk, {
    onFit: () => setOver('fit'),
    onGuide: () => setOver('guide'),
    onKeys: () => setOver('keys'),
    enabled: over === null && !conflicted,
  });
  useEffect(() => {
    history.replaceState(null, '', over === 'guide' ? '#guide' : location.pathname);
  }, [over]);
  if (over === 'guide') return <Guide plan={plan} timeline={timeline} onLeave={close} />;
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <div className="max-lg:sticky max-lg:top-0 max-lg:z-30 max-lg:bg-base-200">
        <header className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-5 py-2">
          <span className="font-semibold">{studio}</span>
          <a className="link" href="/">
            Shelf
          </a>
          <h1 className="truncate">{plan.title}</h1>
          <SaveMark />
          <ConflictDialog onKept={() => void flush()} />
          <span className="no-print ml-auto flex flex-wrap items-center gap-2">
            <UndoRedo />
            <ThemeSwitch />
            <button
              type="button"
              className="btn btn-sm btn-square"
              aria-label="Keys"
              title="Keys"
              onClick={() => setOver('keys')}
            >
              <Keyboard size={16} aria-hidden />
            </button>
            <a
              className="btn btn-sm"
              href={`/classes/${classId}/takes`}
              onClick={(event) => {
                event.preventDefault();
                void flush().then(() => location.assign(`/classes/${classId}/takes`));
              }}
            >
              Takes{takes > 0 ? ` ${takes}` : ''}
            </a>
            <button type="button" className="btn btn-sm" onClick={() => setOver('publish')}>
              Publish
            </button>
            <button type="button" className="btn btn-sm btn-primary" onClick={() => setOver('guide')}>
              Guide
            </button>
          </span>
        </header>
        <RuntimeBar onFit={() => setOver('fit')} />
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-1 md:grid-cols-[216px_1fr] lg:grid-cols-[216px_1fr_326px]">
        <div className="no-print border-base-300 min-h-0 overflow-y-auto border-r md:max-h-full" tabIndex={-1}>
          <Overview />
        </div>
        <main className="min-h-0 min-w-0 lg:overflow-y-auto">
          <Strip />
        </main>
        <Inspecting />
      </div>
      {over === 'fit' && <FitDialog onClose={close} />}
      {over === 'publish' && <PublishDialog plan={plan} timeline={timeline} reading={null} onClose={close} />}
      {over === 'keys' && <KeysDialog onClose={close} />}
    </div>
  );
}

/** At the right of the desk; on a tablet it comes up from below while a step is chosen. */
function Inspecting() {
  const chosen = useDesk((state) => state.selectedId !== null);
  const sheet = chosen
    ? 'max-lg:bg-base-200 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:max-h-[42vh] max-lg:border-t max-lg:shadow-lg'
    : '';
  return (
    <div
      className={`no-print border-base-300 min-h-0 overflow-y-auto border-l md:col-span-2 lg:col-span-1 ${sheet}`}
      tabIndex={-1}
    >
      <Inspector />
    </div>
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
