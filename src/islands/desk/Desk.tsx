import { useContext, useEffect, useMemo, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import type { LibraryEntry } from '@/api/movements';
import type { ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { planChangeWords } from '@/messages/history';
import { useGrowing } from '@/ui/parts/use-growing';
import { useViewport } from '@/ui/parts/use-viewport';
import { useFindings, type Findings } from './checks/use-findings';
import { DeskHeader } from './header/DeskHeader';
import { createDesk } from './desk-store';
import { keepOnTarget } from './fit/keep-on-target';
import { LibraryContext } from './library-context';
import {
  ChecksPanel,
  FitDialog,
  Inspector,
  LengthsView,
  loadTheFirst,
  loadTheRest,
  Overview,
  Prompter,
  PublishDialog,
  WordsDialog,
} from './on-demand';
import { StudioContext, type StudioSettings } from './studio-context';
import { RuntimeBar } from './fit/RuntimeBar';
import { serifReady } from './timeline/serif-width';
import { TimelineView } from './timeline/TimelineView';
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
  const [ready, setReady] = useState(false);
  const [entries, setEntries] = useState(library);
  const deskLibrary = useMemo(
    () => ({ entries, onAdded: (entry: LibraryEntry) => setEntries((before) => [...before, entry]) }),
    [entries],
  );
  const fitter = useFitter();
  useEffect(() => {
    return keepOnTarget(desk, fitter);
  }, [desk, fitter]);
  useEffect(() => {
    // Lines are laid out by the width of their words: the font comes first, if it comes soon.
    void Promise.allSettled([desk.session.begin(), serifReady()]).then(() => setReady(true));
    return desk.session.stop;
  }, [desk]);
  if (!ready) return null;
  return (
    <DeskContext.Provider value={desk}>
      <LibraryContext.Provider value={deskLibrary}>
        <StudioContext.Provider value={settings}>
          <DeskView
            studio={studio}
            takes={takes}
            flush={desk.session.flush}
            onSettle={(keep) => void desk.session.settle(keep)}
          />
        </StudioContext.Provider>
      </LibraryContext.Provider>
    </DeskContext.Provider>
  );
}

type Over = 'fit' | 'words' | null;
/** What fills the desk: the timeline, or the lengths side by side. */
type View = 'timeline' | 'lengths';
/** A plan that is performed or published: the class itself, or one of its lengths. */
interface Shown {
  readonly as: 'prompter' | 'publish';
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
  const viewport = useViewport();
  const [over, setOver] = useState<Over>(null);
  const [view, setView] = useState<View>(() => (location.hash === '#lengths' ? 'lengths' : 'timeline'));
  const [shown, setShown] = useState<Shown | null>(() =>
    location.hash === '#prompter' || location.hash === '#guide' ? { as: 'prompter', plan } : null,
  );
  const part = useGrowing(PARTS);
  const performed = shown?.as === 'prompter' ? shown.plan : null;
  const drawn = part === PARTS;
  useEffect(loadTheFirst, []);
  useEffect(() => {
    if (drawn) loadTheRest();
  }, [drawn]);
  const findings = useFindings(drawn);
  const [checking, setChecking] = useState(() => location.hash === '#checks');
  const toggleChecks = (): void => {
    setView('timeline');
    setChecking(!checking || view !== 'timeline');
  };
  const close = (): void => setOver(null);
  const openPrompter = (): void => setShown({ as: 'prompter', plan: desk.getState().plan });
  useDeskKeys(desk, {
    onFit: () => setOver('fit'),
    onPrompter: openPrompter,
    onChecks: toggleChecks,
    onWords: () => setOver('words'),
    onLengths: () => setView(view === 'timeline' ? 'lengths' : 'timeline'),
    enabled: over === null && shown === null && !conflicted,
  });
  const hash = view === 'lengths' ? '#lengths' : checking ? '#checks' : '';
  // The class itself is performed at an address of its own, which outlives this page.
  const address = `/classes/${classId}${performed === plan ? '/perform' : hash}`;
  useEffect(() => {
    history.replaceState(null, '', address);
  }, [address]);
  const published = useMemo(() => (shown?.as === 'publish' ? expandPlan(shown.plan) : null), [shown]);
  const { spelling } = useContext(StudioContext);
  if (performed) {
    return <Prompter classId={classId} plan={performed} spelling={spelling} onLeave={() => setShown(null)} />;
  }
  return (
    <div className="relative flex h-dvh flex-col overflow-hidden">
      <DeskHeader
        studio={studio}
        takes={takes}
        view={view}
        findings={findings.open.length}
        checking={checking && view === 'timeline'}
        onChecks={toggleChecks}
        flush={flush}
        onSettle={onSettle}
        onView={setView}
        onPublish={() => setShown({ as: 'publish', plan })}
        onPrompter={openPrompter}
      />
      <RuntimeBar onFit={() => setOver('fit')} />
      {view === 'lengths' ? (
        <main id="main" tabIndex={-1} className="relative flex min-h-0 min-w-0 flex-1 overflow-hidden">
          <LengthsView
            onPrompter={(of) => setShown({ as: 'prompter', plan: of })}
            onPublish={(of) => setShown({ as: 'publish', plan: of })}
          />
        </main>
      ) : (
        <div className="grid min-h-0 flex-1 grid-cols-1 grid-rows-[minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_310px] xl:grid-cols-[216px_minmax(0,1fr)_326px]">
          {viewport === 'desk' && (
            <div className="no-print border-base-300 relative min-h-0 overflow-y-auto border-r">
              {part > 1 && <Overview />}
            </div>
          )}
          <main id="main" tabIndex={-1} className="relative min-h-0 min-w-0 overflow-y-auto">
            {part > 0 && <TimelineView />}
          </main>
          {part > 2 ? (
            <Beside
              checks={checking ? findings : null}
              onFit={() => setOver('fit')}
              onWords={() => setOver('words')}
              onClose={() => setChecking(false)}
            />
          ) : (
            <div className="max-md:hidden" />
          )}
        </div>
      )}
      <ToldLine />
      {viewport === 'phone' && (
        <PhoneBar findings={findings.open.length} onChecks={toggleChecks} onPrompter={openPrompter} />
      )}
      {over === 'fit' && <FitDialog onClose={close} />}
      {shown?.as === 'publish' && published && (
        <PublishDialog
          plan={shown.plan}
          timeline={published}
          reading={null}
          spelling={spelling}
          // The page shows what is stored: the class itself, not one of its lengths.
          printHref={shown.plan === plan ? `/classes/${classId}/script` : undefined}
          onClose={() => setShown(null)}
        />
      )}
      {over === 'words' && <WordsDialog onClose={close} />}
    </div>
  );
}

/** Head and runtime, the timeline, the list of steps, what is beside them: drawn one after the other. */
const PARTS = 3;

interface BesideProps {
  /** Shown in place of what is chosen; `null` while they are not asked for. */
  readonly checks: Findings | null;
  readonly onFit: () => void;
  readonly onWords: () => void;
  readonly onClose: () => void;
}

/** Beside the timeline; on a phone it lies over it, once it is asked for. */
function Beside({ checks, onFit, onWords, onClose }: BesideProps) {
  const desk = useDeskStore();
  const viewport = useViewport();
  const fieldsOpen = useDesk((state) => state.fieldsOpen);
  const over = viewport === 'phone';
  if (over && !checks && !fieldsOpen) return null;
  return (
    <div
      id="fields"
      className={`no-print border-base-300 relative min-h-0 overflow-y-auto border-l ${over ? 'bg-base-200 fixed! inset-0 z-40' : ''}`}
      tabIndex={-1}
    >
      {over && !checks && (
        <div className="bg-base-200 border-base-300 sticky top-0 z-10 flex justify-end border-b px-3 py-1.5">
          <button type="button" className="btn btn-sm btn-primary" onClick={() => desk.showFields(false)}>
            Done
          </button>
        </div>
      )}
      {checks ? <ChecksPanel findings={checks} onFit={onFit} onClose={onClose} /> : <Inspector onWords={onWords} />}
    </div>
  );
}

interface PhoneBarProps {
  readonly findings: number;
  readonly onChecks: () => void;
  readonly onPrompter: () => void;
}

/** What a phone has no room for in its head, in reach of the thumb. */
function PhoneBar({ findings, onChecks, onPrompter }: PhoneBarProps) {
  const desk = useDeskStore();
  const more = 'btn btn-ghost min-w-0 flex-1 px-1';
  return (
    <nav
      aria-label="The class"
      className="no-print border-base-300 bg-base-100 flex shrink-0 items-center gap-1 border-t px-2 py-1"
    >
      <button
        type="button"
        className={more}
        onClick={() => {
          desk.select(null);
          desk.showFields(true);
        }}
      >
        Class
      </button>
      <button type="button" className={more} onClick={onChecks}>
        Checks{findings > 0 ? ` ${findings}` : ''}
      </button>
      <button type="button" className="btn btn-primary flex-1" onClick={onPrompter}>
        Prompter
      </button>
    </nav>
  );
}

const TOLD_MILLISECONDS = 8_000;
const TOLD_WORDS = { undone: 'Undone', redone: 'Done again', 'kept-on-target': 'To stay on target' } as const;
const TOLD_CHANGES = 3;

/** What undo, redo or keeping on target did, for a moment. */
function ToldLine() {
  const desk = useDeskStore();
  const told = useDesk((state) => state.told);
  useEffect(() => {
    if (!told) return undefined;
    const timer = setTimeout(desk.forgetTold, TOLD_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [told, desk]);
  const rest = told ? told.changes.length - TOLD_CHANGES : 0;
  return (
    <p
      role="status"
      className="no-print bg-secondary border-base-300 absolute bottom-14 left-1/2 z-30 w-max max-w-[92vw] -translate-x-1/2 rounded-lg border px-3 py-1.5 text-sm shadow empty:hidden md:bottom-3"
    >
      {told && told.changes.length > 0 && (
        <>
          <span className="font-semibold">{TOLD_WORDS[told.how]}:</span>{' '}
          {told.changes.slice(0, TOLD_CHANGES).map(planChangeWords).join('; ')}
          {rest > 0 && `; and ${rest} more`}
        </>
      )}
    </p>
  );
}
