import { performedName } from '@/core/timeline';
import { useEffect, useMemo, useRef, useState, type ComponentProps, type ReactNode } from 'react';
import { captionAt, captionsOf } from '@/core/publish';
import { performedSteps } from '@/core/plan';
import { withSureTaken, type Reading } from '@/core/reading';
import { formatClock, formatDifference } from '@/core/units';
import type { Spelling } from '@/core/words';
import { ConflictChoice } from '@/ui/parts/ConflictChoice';
import { SAVE_WORDS } from '@/messages/saving';
import { AppHead } from '@/ui/layout/AppHead';
import { useViewport } from '@/ui/parts/use-viewport';
import { useAttachedFile } from './attached-file';
import { LineDock } from './LineDock';
import { PlayerDock } from './PlayerDock';
import { Cuts, Learn, loadTheRest, PublishDialog, TakeReport } from './on-demand';
import { usePlayer } from './player';
import { cutKey, rowsOf } from './rows';
import { TAKE_KEYS } from './take-keys-list';
import { LineNeighbours } from './LineNeighbours';
import { TakeStrip, UNSURE_BELOW } from './TakeStrip';
import { useChosenRow } from './use-chosen-row';
import { useTakeKeys } from './use-take-keys';
import { useTakeWork, type Take, type TakeWork } from './take-work';

interface Props {
  readonly studio: string;
  readonly take: Take;
  readonly spelling: Spelling;
}

/** A take read against its plan: heard, put right by ear line by line, and published. */
export function TakeDesk({ studio, take, spelling }: Props) {
  const state = useTakeWork(take, spelling);
  const { timeline, reading, work, change, undo } = state;
  const names = useMemo(
    () => new Map(performedSteps(take.plan).map((one) => [one.step.id, performedName(one, take.plan.style)])),
    [take.plan],
  );
  const rows = useMemo(() => rowsOf(reading, timeline, names, work.cuts ?? []), [reading, timeline, names, work.cuts]);
  const captions = useMemo(() => captionsOf(timeline, reading, spelling), [timeline, reading, spelling]);
  const attached = useAttachedFile(take.id, take.recording);
  const source = attached.url ?? (take.soundId ? `/api/takes/${take.id}/sound` : null);
  const viewport = useViewport();
  const media = useRef<HTMLVideoElement>(null);
  const player = usePlayer(media, source);
  const envelope = useEnvelope(take);
  useEffect(loadTheRest, []);
  const [publishing, setPublishing] = useState(false);
  const [view, setView] = useState<TakeView>('lines');
  const { chosen, setChosen, row, choose, loop, unsure, nextUnsure } = useChosenRow(
    rows,
    reading,
    player,
    source !== null,
  );
  const enabled = !publishing;
  useTakeKeys({ rows, row, work, player, choose, loop, nextUnsure, change, undo, enabled });
  return (
    <div className="relative flex h-dvh flex-col overflow-x-hidden overflow-y-auto md:overflow-hidden">
      <TakeHead studio={studio} take={take} state={state} onPublish={() => setPublishing(true)} />
      <Figures reading={reading} targetSeconds={take.plan.targetSeconds} />
      <SaveTrouble save={state.save} onSettle={state.settle} />
      {viewport === 'phone' && (
        <section aria-label="Views">
          <ViewChoice view={view} onChoose={setView} />
        </section>
      )}
      <div className="grid grid-cols-1 max-md:flex-none max-md:grid-rows-[auto_auto] md:min-h-0 md:flex-1 md:grid-cols-[minmax(0,1fr)_330px] md:grid-rows-[minmax(0,1fr)] xl:grid-cols-[minmax(0,1fr)_440px]">
        <main id="main" tabIndex={-1} className="bg-base-100 relative flex min-w-0 flex-col md:min-h-0">
          {viewport !== 'phone' && <ViewChoice view={view} onChoose={setView} />}
          {view === 'cuts' && (
            <Scrolled>
              <Cuts
                timeline={timeline}
                reading={reading}
                cuts={work.cuts}
                player={player}
                hasSound={source !== null}
                onCuts={(cuts) => change({ ...work, cuts })}
                onChoose={(index) => setChosen(cutKey(index))}
              />
            </Scrolled>
          )}
          {view === 'learn' && (
            <Scrolled>
              <Learn classId={take.classId} names={names} />
            </Scrolled>
          )}
          {view === 'report' && (
            <Scrolled>
              <TakeReport
                take={take}
                timeline={timeline}
                reading={reading}
                names={names}
                onPlay={source ? player.playFrom : undefined}
              />
            </Scrolled>
          )}
          {view === 'lines' && (
            <LinesView
              reading={reading}
              work={work}
              unsure={unsure.length}
              onNext={nextUnsure}
              onChange={change}
              strip={{ rows, chosen, envelope, playSeconds: player.seconds, onChoose: choose }}
            />
          )}
        </main>
        <aside
          aria-label="Listen and correct"
          className="border-base-300 bg-base-100 relative max-md:order-first md:min-h-0 md:overflow-y-auto md:border-l"
        >
          <div className="p-4 max-md:p-3">
            <PlayerDock
              source={source}
              media={media}
              player={player}
              attached={attached}
              recording={take.recording}
              caption={captionAt(captions, player.seconds)?.text ?? null}
              onLoop={loop}
            />
            {(viewport !== 'phone' || view === 'lines') && (
              <LineDock row={row} reading={reading} work={work} playSeconds={player.seconds} onChange={change} />
            )}
            {viewport !== 'phone' && <LineNeighbours rows={rows} row={row} onChoose={choose} />}
          </div>
        </aside>
      </div>
      {publishing && (
        <PublishDialog
          plan={take.plan}
          timeline={timeline}
          reading={reading}
          spelling={spelling}
          cut={
            work.cuts && {
              cuts: work.cuts,
              clip: take.recording?.file?.name ?? null,
              picture: attached.hasPicture || !hasSoundAlone(take),
            }
          }
          onClose={() => setPublishing(false)}
        />
      )}
    </div>
  );
}

function Scrolled({ children }: { readonly children: ReactNode }) {
  return <div className="min-h-0 flex-1 overflow-y-auto">{children}</div>;
}

interface HeadProps {
  readonly studio: string;
  readonly take: Take;
  readonly state: TakeWork;
  readonly onPublish: () => void;
}

function TakeHead({ studio, take, state: { save, begun, undo }, onPublish }: HeadProps) {
  return (
    <div className="border-base-300 shrink-0 border-b px-5 pt-1.5 max-md:px-3">
      <AppHead
        compact
        studio={studio}
        trail={[
          { href: `/classes/${take.classId}`, words: take.plan.title },
          { href: `/classes/${take.classId}/takes`, words: 'Takes' },
        ]}
        title={take.name}
        keys={TAKE_KEYS}
        beside={
          <span role="status" className="quiet-ink text-sm max-sm:sr-only">
            {begun && SAVE_WORDS[save.kind]}
          </span>
        }
      >
        <button type="button" className="btn btn-sm" disabled={!undo} onClick={() => undo?.()}>
          Undo
        </button>
        <button type="button" className="btn btn-sm btn-primary" onClick={onPublish}>
          Publish
        </button>
      </AppHead>
    </div>
  );
}

interface LinesProps {
  readonly reading: Reading;
  readonly work: TakeWork['work'];
  /** How many lines are uncertain. */
  readonly unsure: number;
  readonly onNext: () => void;
  readonly onChange: TakeWork['change'];
  readonly strip: ComponentProps<typeof TakeStrip>;
}

/** The take line by line, and the way through what is uncertain. */
function LinesView({ reading, work, unsure, onNext, onChange, strip }: LinesProps) {
  return (
    <>
      <div className="border-base-300 flex flex-wrap items-center gap-2 border-b px-4 py-2">
        <span>
          {unsure === 0 ? 'No line is uncertain.' : `${unsure} ${unsure === 1 ? 'line is' : 'lines are'} uncertain.`}
        </span>
        <button type="button" className="btn btn-sm" disabled={unsure === 0} onClick={onNext}>
          Next most uncertain
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={reading.cues.every((cue) => cue.corrected || cue.confidence < UNSURE_BELOW)}
          onClick={() => onChange(withSureTaken(work, reading, UNSURE_BELOW))}
        >
          Confirm the rest
        </button>
      </div>
      <div className="min-h-0 flex-1 max-md:h-[62dvh]">
        <TakeStrip {...strip} />
      </div>
    </>
  );
}

interface TroubleProps {
  readonly save: TakeWork['save'];
  readonly onSettle: TakeWork['settle'];
}

/** Why what was set is not on the server, and what to do. */
function SaveTrouble({ save, onSettle }: TroubleProps) {
  if (save.kind !== 'conflict' && save.kind !== 'refused') return null;
  return (
    <div role="alert" className="bg-base-100 text-error border-error border-l-4 px-5 py-2 font-semibold">
      {save.kind === 'refused' ? (
        'Your last correction could not be saved. Undo it, or reload the page.'
      ) : (
        <ConflictChoice what="This take was corrected" onSettle={onSettle} />
      )}
    </div>
  );
}

const VIEWS = { lines: 'Lines', report: 'Report', cuts: 'Cuts', learn: 'Use this take' } as const;
type TakeView = keyof typeof VIEWS;

function ViewChoice({ view, onChoose }: { readonly view: TakeView; readonly onChoose: (view: TakeView) => void }) {
  return (
    <div
      role="group"
      aria-label="View of the take"
      className="border-base-300 flex flex-wrap gap-2 border-b px-4 py-2 max-md:px-3"
    >
      {(Object.keys(VIEWS) as TakeView[]).map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={view === one}
          className={`btn btn-sm ${view === one ? 'btn-primary' : ''}`}
          onClick={() => onChoose(one)}
        >
          {VIEWS[one]}
        </button>
      ))}
    </div>
  );
}

/** The level of the take for drawing, once it is here. */
function useEnvelope(take: Take): Uint8Array | null {
  const [envelope, setEnvelope] = useState<Uint8Array | null>(null);
  useEffect(() => {
    if (!take.recording?.file) return;
    const gone = new AbortController();
    void fetch(`/api/takes/${take.id}/envelope`, { signal: gone.signal })
      .then(async (answer) => answer.ok && setEnvelope(new Uint8Array(await answer.arrayBuffer())))
      // Without it the strip has no waves; nothing else is missing.
      .catch(() => undefined);
    return () => gone.abort();
  }, [take.id, take.recording]);
  return envelope;
}

function Figures({ reading, targetSeconds }: { readonly reading: Reading; readonly targetSeconds: number }) {
  const { totals } = reading;
  const off = Math.round(totals.runtimeSeconds) - Math.round(totals.plannedRuntimeSeconds);
  return (
    <section
      aria-label="Figures of the take"
      className="bg-base-100 border-base-300 shrink-0 border-b px-5 py-1.5 max-md:px-3"
    >
      <dl className="flex flex-wrap gap-x-8 gap-y-1 max-md:gap-x-4">
        <Figure label="planned" value={formatClock(totals.plannedRuntimeSeconds)} big />
        <Figure label="actual" value={formatClock(totals.runtimeSeconds)} big />
        <Figure label="vs plan" value={formatDifference(off)} big />
        <Figure roomy label="target" value={formatClock(targetSeconds)} />
        <Figure roomy label="said" value={`${totals.said} of ${reading.cues.length}`} />
        <Figure roomy label="skipped" value={String(totals.skipped)} />
        <Figure roomy label="ad-libs" value={String(totals.adLibs)} />
        <Figure roomy label="talk" value={`${Math.round(totals.talkShare * 100)} %`} />
        <Figure
          roomy
          label="breath, planned and actual"
          value={
            totals.breathActualSeconds === null || totals.breathPlannedSeconds === null
              ? 'too few heard'
              : `${totals.breathPlannedSeconds.toFixed(1)} s · ${totals.breathActualSeconds.toFixed(1)} s`
          }
        />
        <Figure
          roomy
          label="drift at the last line"
          value={totals.driftLastSeconds === null ? 'none' : formatDifference(totals.driftLastSeconds)}
        />
      </dl>
    </section>
  );
}

function Figure({
  label,
  value,
  big,
  roomy,
}: {
  readonly label: string;
  readonly value: string;
  readonly big?: boolean;
  /** Only where there is room: the report tells it too. */
  readonly roomy?: boolean;
}) {
  return (
    <div className={roomy ? 'max-md:hidden' : ''}>
      <dt className="quiet-ink text-sm">{label}</dt>
      <dd className={big ? 'text-2xl leading-8 font-semibold md:text-3xl' : 'text-lg leading-8'}>{value}</dd>
    </div>
  );
}

/** Whether the recording's name says that it has no picture. */
function hasSoundAlone({ recording }: Take): boolean {
  return /\.(wav|mp3|m4a|flac|og[ag]|opus)$/i.test(recording?.file?.name ?? '');
}
