import { useContext, useEffect, useMemo, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import type { LibraryEntry } from '@/api/movements';
import type { ClassPlan } from '@/core/plan';
import type { Saving } from '@/editing/saving';
import { expandPlan, spellTimeline } from '@/core/timeline';
import { Guide } from '../guide/Guide';
import { PublishDialog } from '../publish/PublishDialog';
import { ChecksPanel } from './checks/ChecksPanel';
import { useFindings, type Findings } from './checks/use-findings';
import { DeskHeader } from './DeskHeader';
import { createDesk } from './desk-store';
import { FitDialog } from './FitDialog';
import { keepOnTarget } from './keep-on-target';
import { Inspector } from './Inspector';
import { LengthsView } from './lengths/LengthsView';
import { KeysDialog } from './KeysDialog';
import { LibraryContext } from './library-context';
import { StudioContext, type StudioSettings } from './studio-context';
import { Overview } from './Overview';
import { RuntimeBar } from './RuntimeBar';
import { WordsDialog } from './words/WordsDialog';
import { startSavingDesk } from './save-loop';
import { Strip } from './Strip';
import { DeskContext, useDesk, useDeskStore, useFitter } from './use-desk';
import { useDeskKeys } from './use-desk-keys';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly takes: number;
  readonly library: readonly LibraryEntry[];
  readonly settings: StudioSettings;
}

/** The class desk: one class, to be read, changed, fitted, performed and published. */
export function Desk({ studio, stored, takes, library, settings }: Props) {
  const [desk] = useState(() => createDesk(stored.id, stored.plan, stored.revision));
  const saving = useRef<Saving<ClassPlan> | null>(null);
  const [ready, setReady] = useState(false);
  const fitter = useFitter();
  useEffect(() => {
    return keepOnTarget(desk, fitter);
  }, [desk, fitter]);
  useEffect(() => {
    const started = startSavingDesk(desk);
    saving.current = started;
    void started.takeUp().finally(() => setReady(true));
    return started.stop;
  }, [desk]);
  if (!ready) return null;
  return (
    <DeskContext.Provider value={desk}>
      <LibraryContext.Provider value={library}>
        <StudioContext.Provider value={settings}>
          <DeskView
            studio={studio}
            takes={takes}
            flush={async () => (await saving.current?.flush()) ?? true}
            onSettle={(keep) => void saving.current?.settle(keep)}
          />
        </StudioContext.Provider>
      </LibraryContext.Provider>
    </DeskContext.Provider>
  );
}

type Over = 'fit' | 'keys' | 'words' | null;
/** What fills the desk: the strip, the lengths side by side. */
type View = 'strip' | 'lengths';
/** A plan that is performed or published: the class itself, or one of its lengths. */
interface Shown {
  readonly as: 'guide' | 'publish';
  readonly plan: ClassPlan;
}

interface ViewProps {
  readonly studio: string;
  readonly takes: number;
  readonly flush: () => Promise<boolean>;
  readonly onSettle: (keep: 'ours' | 'theirs') => void;
}

function DeskView({ studio, takes, flush, onSettle }: ViewProps) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const classId = useDesk((state) => state.classId);
  const conflicted = useDesk((state) => state.save.kind === 'conflict');
  const [over, setOver] = useState<Over>(null);
  const [view, setView] = useState<View>(() => (location.hash === '#lengths' ? 'lengths' : 'strip'));
  const [shown, setShown] = useState<Shown | null>(() => (location.hash === '#guide' ? { as: 'guide', plan } : null));
  const performed = shown?.as === 'guide' ? shown.plan : null;
  const findings = useFindings();
  const [checking, setChecking] = useState(() => location.hash === '#checks');
  const toggleChecks = (): void => {
    setView('strip');
    setChecking(!checking || view !== 'strip');
  };
  const close = (): void => setOver(null);
  useDeskKeys(desk, {
    onFit: () => setOver('fit'),
    onGuide: () => setShown({ as: 'guide', plan: desk.getState().plan }),
    onKeys: () => setOver('keys'),
    onChecks: toggleChecks,
    onWords: () => setOver('words'),
    onLengths: () => setView(view === 'strip' ? 'lengths' : 'strip'),
    enabled: over === null && shown === null && !conflicted,
  });
  const hash = performed === plan ? '#guide' : view === 'lengths' ? '#lengths' : checking ? '#checks' : '';
  useEffect(() => {
    history.replaceState(null, '', hash === '' ? location.pathname : hash);
  }, [hash]);
  const timeline = useMemo(() => (shown ? expandPlan(shown.plan) : null), [shown]);
  const { spelling } = useContext(StudioContext);
  const spoken = useMemo(() => timeline && spellTimeline(timeline, spelling), [timeline, spelling]);
  if (performed && spoken) {
    return <Guide classId={classId} plan={performed} timeline={spoken} onLeave={() => setShown(null)} />;
  }
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <div className="max-lg:sticky max-lg:top-0 max-lg:z-30 max-lg:bg-base-200">
        <DeskHeader
          studio={studio}
          takes={takes}
          view={view}
          findings={findings.open.length}
          checking={checking && view === 'strip'}
          onChecks={toggleChecks}
          flush={flush}
          onSettle={onSettle}
          onView={setView}
          onKeys={() => setOver('keys')}
          onPublish={() => setShown({ as: 'publish', plan })}
          onGuide={() => setShown({ as: 'guide', plan })}
        />
        <RuntimeBar onFit={() => setOver('fit')} />
      </div>
      {view === 'lengths' ? (
        <main className="flex min-h-0 min-w-0 flex-1">
          <LengthsView
            onGuide={(of) => setShown({ as: 'guide', plan: of })}
            onPublish={(of) => setShown({ as: 'publish', plan: of })}
          />
        </main>
      ) : (
        <div className="grid min-h-0 flex-1 grid-cols-1 md:grid-cols-[216px_1fr] lg:grid-cols-[216px_1fr_326px]">
          <div className="no-print border-base-300 min-h-0 overflow-y-auto border-r md:max-h-full" tabIndex={-1}>
            <Overview />
          </div>
          <main className="min-h-0 min-w-0 lg:overflow-y-auto">
            <Strip />
          </main>
          <Beside
            checks={checking ? findings : null}
            onFit={() => setOver('fit')}
            onWords={() => setOver('words')}
            onClose={() => setChecking(false)}
          />
        </div>
      )}
      {over === 'fit' && <FitDialog onClose={close} />}
      {shown?.as === 'publish' && timeline && (
        <PublishDialog
          plan={shown.plan}
          timeline={timeline}
          reading={null}
          spelling={spelling}
          // The page shows what is stored: the class itself, not one of its lengths.
          printHref={shown.plan === plan ? `/classes/${classId}/script` : undefined}
          onClose={() => setShown(null)}
        />
      )}
      {over === 'words' && <WordsDialog onClose={close} />}
      {over === 'keys' && <KeysDialog onClose={close} />}
    </div>
  );
}

interface BesideProps {
  /** Shown in place of what is chosen; `null` while they are not asked for. */
  readonly checks: Findings | null;
  readonly onFit: () => void;
  readonly onWords: () => void;
  readonly onClose: () => void;
}

/** At the right of the desk; on a tablet it comes up from below while a step is chosen or the checks are open. */
function Beside({ checks, onFit, onWords, onClose }: BesideProps) {
  const chosen = useDesk((state) => state.selectedId !== null) || checks !== null;
  const sheet = chosen
    ? 'max-lg:bg-base-200 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-20 max-lg:max-h-[42vh] max-lg:border-t max-lg:shadow-lg'
    : '';
  return (
    <div
      className={`no-print border-base-300 min-h-0 overflow-y-auto border-l md:col-span-2 lg:col-span-1 ${sheet}`}
      tabIndex={-1}
    >
      {checks ? <ChecksPanel findings={checks} onFit={onFit} onClose={onClose} /> : <Inspector onWords={onWords} />}
    </div>
  );
}
