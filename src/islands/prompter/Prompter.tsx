import { useState } from 'react';
import type { ClassPlan } from '@/core/plan';
import { fileNameFor } from '@/core/publish';
import { cueAt, nextCue, phaseAt, stepAt } from '@/core/timeline';
import { formatClock } from '@/core/units';
import type { Spelling } from '@/core/words';
import { KeyList } from '@/ui/parts/KeyList';
import { saveFile } from '@/ui/parts/save-file';
import { useKey } from '@/ui/parts/use-keys';
import { RecordCorner } from '../recording/RecordCorner';
import { useClassRecorder } from '../recording/use-class-recorder';
import { EarBar } from '../ear/EarBar';
import { Controls } from './Controls';
import { Head } from './Head';
import { Heading } from './Heading';
import { LandingBar } from './LandingBar';
import { Lines } from './Lines';
import { PROMPTER_KEYS } from './keys';
import { secondsSinceStop } from './saved-runs';
import { ShareLive } from './on-demand';
import { Settings } from './Settings';
import { Tide } from '../live/Tide';
import { usePrompter } from './use-prompter';

interface Props {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly spelling: Spelling;
  /** Said below the title where there is something to know of the class. */
  readonly notice?: string;
  readonly onLeave: () => void;
}

const TOLD_MILLISECONDS = 5_000;

/** Full screen, to perform from at three metres: the line now, the line next, the tide, the count, what is left. */
export function Prompter({ classId, plan: planned, spelling, notice = '', onLeave }: Props) {
  const prompter = usePrompter({ classId, planned, spelling });
  const { run, performed, broken, state, settings, set, place, begun, target, counting, landing, ear } = prompter;
  const { plan, timeline } = performed;
  const { title } = planned;
  const recording = useClassRecorder(classId, title, state.mode);
  const [sounded, setSounded] = useState<number | null>(null);
  const [over, setOver] = useState<'keys' | 'settings' | 'share' | null>(null);
  useKey('escape', onLeave);
  useKey('?', () => setOver('keys'), { useKey: true });
  const saveLog = (): void =>
    saveFile(fileNameFor(title, '.performance.json'), `${JSON.stringify(run.log(), null, 2)}\n`, 'application/json');
  const current = begun ? cueAt(timeline, place) : null;
  const next = state.mode === 'ready' ? timeline.cues[0] : nextCue(timeline, place);
  // By ear the line now is the one that was not said yet.
  const heardNext = ear.next === null ? null : timeline.cues[ear.next];
  const told = { ready: title, done: 'The class has ended.', running: current?.text ?? '', held: current?.text ?? '' };
  return (
    <div
      className={`bg-base-100 text-base-content fixed inset-0 overflow-hidden ${settings.mirror ? 'prompter-mirrored' : ''}`}
      data-testid="prompter"
      data-theme={settings.ground === 'as the page' ? undefined : settings.ground}
      style={{ ['--prompter-size' as string]: settings.size / 100 }}
    >
      <Tide timeline={timeline} state={state} />
      <div className="relative flex h-full flex-col overflow-y-auto p-6 motion-reduce:pr-12 max-md:p-3">
        <Head
          plan={plan}
          timeline={timeline}
          place={place}
          ends={prompter.ends}
          target={target}
          begun={begun}
          onLeave={onLeave}
        />
        <main className="flex flex-1 flex-col justify-center gap-6 py-3 max-md:gap-3 max-md:py-2 [@media(max-height:50rem)]:gap-2 [@media(max-height:50rem)]:py-1">
          {notice !== '' && <p role="status">{notice}</p>}
          {state.mode === 'held' && (
            <p role="status" className="text-accent prompter-told font-semibold">
              {prompter.slept === null
                ? `Paused for ${formatClock(Math.max(0, prompter.now - state.sinceSeconds))}`
                : `The computer slept for ${formatClock(prompter.slept)}. Paused here.`}
            </p>
          )}
          {begun && <Heading plan={plan} timed={stepAt(timeline, place)} phase={phaseAt(timeline, place)} />}
          {counting === null ? (
            <Lines
              now={heardNext?.text ?? told[state.mode]}
              dueSeconds={heardNext?.startSeconds}
              next={state.mode === 'done' ? null : ((heardNext ? timeline.cues[(ear.next ?? 0) + 1] : next) ?? null)}
              mode={state.mode}
              place={place}
            />
          ) : (
            <p role="timer" className="prompter-now text-center font-semibold">
              {counting}
            </p>
          )}
          {state.mode === 'ready' && broken?.brokenOff && (
            <p className="flex flex-wrap items-center gap-4 text-2xl">
              <button type="button" className="btn h-14 text-xl" onClick={() => run.resume(broken)}>
                Resume at {formatClock(broken.brokenOff.placeSeconds)}
              </button>
              The last performance stopped {formatClock(secondsSinceStop(broken))} ago.
            </p>
          )}
        </main>
        <p role="status" className="text-center text-lg empty:hidden">
          {sounded !== null && `Sync mark sounded at ${formatClock(sounded)}`}
        </p>
        {recording.made && recording.state === 'off' && state.mode !== 'running' && (
          <p className="text-center">
            <a
              className="btn btn-primary h-14 text-xl"
              href={`/classes/${classId}/takes?recorded=${recording.made.id}`}
            >
              Analyse the recording
            </a>
          </p>
        )}
        <EarBar ear={ear} />
        {landing.isTold && <LandingBar plan={plan} landing={landing} onTake={prompter.take} />}
        <Controls
          mode={state.mode}
          counting={counting !== null}
          onToggle={prompter.toggle}
          send={run.send}
          onRound={prompter.round}
          onMark={() => {
            run.mark();
            setSounded(place);
            setTimeout(() => setSounded(null), TOLD_MILLISECONDS);
          }}
          onSaveLog={saveLog}
          onSettings={() => setOver('settings')}
          onShare={() => setOver('share')}
          recording={recording.state !== 'off'}
          onRecord={() => void (recording.state === 'off' ? recording.start() : recording.stop())}
          shown={prompter.live.codes !== null}
        />
      </div>
      <RecordCorner recording={recording} />
      {over === 'keys' && <KeyList keys={PROMPTER_KEYS} onClose={() => setOver(null)} />}
      {over === 'share' && <ShareLive live={prompter.live} onClose={() => setOver(null)} />}
      {over === 'settings' && (
        <Settings
          settings={settings}
          onChange={(part) => (part.moves === undefined ? set(part) : prompter.moveBy(part.moves))}
          endsAt={prompter.endsAt}
          onEndsAt={begun ? null : prompter.setEndsAt}
          classId={classId}
          onClose={() => setOver(null)}
        />
      )}
    </div>
  );
}
