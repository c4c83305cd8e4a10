import { ChevronLeft, ChevronRight, Pause, Play, SkipBack, SkipForward, X } from 'lucide-react';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { placeAt, projectedSeconds } from '@/core/conductor';
import { type ClassPlan, findPerformed } from '@/core/plan';
import {
  cueAt,
  nextCue,
  packShape,
  performedName,
  phaseAt,
  shapeOf,
  sideTold,
  stepAt,
  type TimedPhase,
  type Timeline,
} from '@/core/timeline';
import { formatClock, formatDifference } from '@/core/units';
import { fileNameFor } from '@/core/publish';
import { ClassShape } from '@/ui/parts/ClassShape';
import { KeyList } from '@/ui/parts/KeyList';
import { saveFile } from '@/ui/parts/save-file';
import { useKey } from '@/ui/parts/use-keys';

import { Tide } from './Tide';
import { runToResume, secondsSinceStop } from './saved-runs';
import { clockSeconds, usePerformance } from './use-performance';

interface Props {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly onLeave: () => void;
}

const TICK_MILLISECONDS = 100;
const TOLD_MILLISECONDS = 5_000;

/** Full screen, to perform from at three metres: the line now, the line next, the tide, the count, what is left. */
export function Prompter({ classId, plan, timeline, onLeave }: Props) {
  const { state, send, resume, mark, log } = usePerformance(timeline, { classId, title: plan.title });
  const [broken] = useState(() => runToResume(classId, timeline.runtimeSeconds, Date.now()));
  const saveLog = (): void =>
    saveFile(fileNameFor(plan.title, '.performance.json'), `${JSON.stringify(log(), null, 2)}\n`, 'application/json');
  const [now, setNow] = useState(clockSeconds);
  const [sounded, setSounded] = useState<number | null>(null);
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(clockSeconds());
      send('tick');
    }, TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [send]);
  const toggle = (): void => {
    send(state.mode === 'running' ? 'hold' : state.mode === 'held' ? 'go-on' : 'start');
    setNow(clockSeconds());
  };
  const [keys, setKeys] = useState(false);
  useKey('space', toggle);
  useKey('right, down', () => send('next-line'));
  useKey('left, up', () => send('line-back'));
  useKey('pagedown', () => send('next-step'));
  useKey('pageup', () => send('step-back'));
  useKey('escape', onLeave);
  useKey('?', () => setKeys(true), { useKey: true });

  const place = placeAt(state, timeline, Math.max(now, state.sinceSeconds));
  const current = state.mode === 'ready' ? null : cueAt(timeline, place);
  const next = state.mode === 'ready' ? timeline.cues[0] : nextCue(timeline, place);
  const ends = projectedSeconds(state, timeline, Math.max(now, state.sinceSeconds));
  return (
    <div className="bg-base-100 fixed inset-0 overflow-hidden" data-testid="prompter">
      <Tide timeline={timeline} state={state} />
      <div className="relative flex h-full flex-col overflow-y-auto p-6 motion-reduce:pr-12 max-md:p-3">
        <Head
          plan={plan}
          timeline={timeline}
          place={place}
          ends={ends}
          started={state.mode !== 'ready'}
          onLeave={onLeave}
        />
        <main className="flex flex-1 flex-col justify-center gap-8 py-4 max-md:gap-3 max-md:py-2">
          {state.mode === 'held' && (
            <p role="status" className="text-accent text-3xl font-semibold max-md:text-2xl">
              Paused for {formatClock(Math.max(0, now - state.sinceSeconds))}
            </p>
          )}
          <Count plan={plan} phase={state.mode === 'ready' ? null : phaseAt(timeline, place)} timeline={timeline} />
          <p
            data-testid="line-now"
            className="font-serif text-[clamp(34px,5.2vw,84px)] leading-[1.15] md:text-[clamp(48px,5.2vw,84px)]"
          >
            {state.mode === 'ready'
              ? plan.title
              : state.mode === 'done'
                ? 'The class has ended.'
                : (current?.text ?? '')}
          </p>
          <p data-testid="line-next" className="quiet-ink min-h-10 font-serif text-3xl max-md:text-2xl">
            {next && state.mode !== 'done' && (
              <>
                <span className="font-sans text-xl">
                  {state.mode === 'ready'
                    ? 'starts with '
                    : `in ${Math.max(0, Math.ceil(next.startSeconds - place))} s `}
                </span>
                {next.text}
              </>
            )}
          </p>
          {state.mode === 'ready' && broken?.brokenOff && (
            <p className="flex flex-wrap items-center gap-4 text-2xl">
              <button type="button" className="btn h-14 text-xl" onClick={() => resume(broken)}>
                Resume at {formatClock(broken.brokenOff.placeSeconds)}
              </button>
              The last performance stopped {formatClock(secondsSinceStop(broken))} ago.
            </p>
          )}
        </main>
        <p role="status" className="text-center text-lg empty:hidden">
          {sounded !== null && `Sync mark sounded at ${formatClock(sounded)}`}
        </p>
        <Controls
          mode={state.mode}
          onToggle={toggle}
          send={send}
          onMark={() => {
            mark();
            setSounded(place);
            setTimeout(() => setSounded(null), TOLD_MILLISECONDS);
          }}
          onSaveLog={saveLog}
        />
      </div>
      {keys && <KeyList keys={PROMPTER_KEYS} onClose={() => setKeys(false)} />}
    </div>
  );
}

const PROMPTER_KEYS = [
  { keys: 'Space', does: 'start, pause, resume' },
  { keys: '→ or ↓', does: 'next line' },
  { keys: '← or ↑', does: 'previous line' },
  { keys: 'Page down, Page up', does: 'next movement, previous movement' },
  { keys: 'Escape', does: 'close the prompter' },
  { keys: '?', does: 'these keys' },
] as const;

interface HeadProps {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly place: number;
  readonly ends: number;
  readonly started: boolean;
  readonly onLeave: () => void;
}

function Head({ plan, timeline, place, ends, started, onLeave }: HeadProps) {
  const step = stepAt(timeline, place);
  const performed = step ? findPerformed(plan, step.step) : null;
  const name = performed ? performedName(performed, plan.style) : '';
  const off = Math.round(ends) - Math.round(plan.targetSeconds);
  const shape = useMemo(() => packShape(shapeOf(plan, timeline)), [plan, timeline]);
  return (
    <header className="flex flex-wrap items-start gap-x-8 gap-y-1 max-md:gap-x-3">
      <div className="min-w-0 flex-1">
        <div className="quiet-ink truncate text-lg max-md:text-sm">{started ? plan.title : 'ready'}</div>
        <div className="truncate text-3xl font-semibold max-md:text-xl">{name}</div>
      </div>
      <Figure label="left">{formatClock(timeline.runtimeSeconds - place)}</Figure>
      <div className="flex gap-8 max-md:hidden">
        <Figure label="ends at">{formatClock(ends)}</Figure>
        <Figure label="vs target" accent={off !== 0}>
          {formatDifference(off)}
        </Figure>
      </div>
      <button
        type="button"
        className="btn btn-square h-12 w-12 shrink-0"
        aria-label="Close the prompter"
        title="Close the prompter (Escape)"
        onClick={onLeave}
      >
        <X aria-hidden />
      </button>
      <div className="relative w-full" aria-hidden>
        <ClassShape shape={shape} />
        <span
          className="bg-accent absolute -top-1 -bottom-1 w-0.5"
          style={{ left: `${(100 * place) / Math.max(1, timeline.runtimeSeconds)}%` }}
        />
      </div>
    </header>
  );
}

function Figure({
  label,
  accent,
  children,
}: {
  readonly label: string;
  readonly accent?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <div className="text-right">
      <div className="quiet-ink text-lg max-md:text-sm">{label}</div>
      <div className={`text-4xl font-semibold max-md:text-2xl ${accent ? 'text-accent' : ''}`}>{children}</div>
    </div>
  );
}

const KIND_WORDS = { inhale: 'Inhale', exhale: 'Exhale', hold: 'Hold', free: 'Own breath', spoken: '' } as const;

interface CountProps {
  readonly phase: TimedPhase | null;
  readonly timeline: Timeline;
  readonly plan: ClassPlan;
}

/** Which side the instructor moves, and which word they say for it. */
function toldOf(phase: TimedPhase, plan: ClassPlan): { readonly word: string; readonly told: string } {
  const step = findPerformed(plan, phase.step)?.step;
  if (!phase.side || step?.kind !== 'movement') return { word: '', told: '' };
  const { word, mine, way } = sideTold(phase.side, step, plan.style);
  const direction = way === '' ? '' : `, ${way}`;
  return { word, told: mine === '' ? `${word}${direction}` : `you move your ${mine}, say “${word}”${direction}` };
}

/** Breath, round and side, in words. */
function Count({ phase, timeline, plan }: CountProps) {
  const timed = phase ? timeline.steps.find((entry) => entry.step === phase.step) : undefined;
  const parts: string[] = [];
  if (phase) {
    if (KIND_WORDS[phase.kind]) parts.push(KIND_WORDS[phase.kind]);
    if (phase.round > 0 && timed && timed.rounds > 0) parts.push(`round ${phase.round} of ${timed.rounds}`);
    const { word, told } = toldOf(phase, plan);
    if (phase.action) parts.push(phase.action.replaceAll('{side}', word));
    if (told) parts.push(told);
  }
  return (
    <p data-testid="count" className="min-h-9 text-3xl max-md:text-xl">
      {parts.join(' · ')}
    </p>
  );
}

interface ControlsProps {
  readonly mode: 'ready' | 'running' | 'held' | 'done';
  readonly onToggle: () => void;
  readonly send: (kind: 'next-line' | 'line-back' | 'next-step' | 'step-back') => void;
  readonly onMark: () => void;
  readonly onSaveLog: () => void;
}

function Controls({ mode, onToggle, send, onMark, onSaveLog }: ControlsProps) {
  const off = mode === 'ready' || mode === 'done';
  const main = { ready: 'Start', running: 'Pause', held: 'Resume', done: 'Start again' }[mode];
  const big = 'btn h-14 min-w-14 text-xl max-md:min-w-11 max-md:px-3 max-md:text-lg';
  return (
    <footer>
      <div
        className="flex flex-wrap items-center justify-center gap-3 max-md:gap-2"
        role="group"
        aria-label="Performing"
      >
        <button
          type="button"
          className={big}
          disabled={off}
          onClick={() => send('step-back')}
          aria-label="Previous movement"
          title="Previous movement (Page up)"
        >
          <SkipBack aria-hidden />
        </button>
        <button
          type="button"
          className={big}
          disabled={off}
          onClick={() => send('line-back')}
          aria-label="Previous line"
          title="Previous line (←)"
        >
          <ChevronLeft aria-hidden />
          <span className="max-sm:hidden">Previous</span>
        </button>
        <button
          type="button"
          className={`${big} btn-primary min-w-40 max-md:min-w-28 max-md:flex-1`}
          onClick={onToggle}
          title={`${main} (Space)`}
        >
          {mode === 'running' ? <Pause aria-hidden /> : <Play aria-hidden />}
          {main}
        </button>
        <button
          type="button"
          className={big}
          disabled={off}
          onClick={() => send('next-line')}
          aria-label="Next line"
          title="Next line (→)"
        >
          <span className="max-sm:hidden">Next</span>
          <ChevronRight aria-hidden />
        </button>
        <button
          type="button"
          className={big}
          disabled={off}
          onClick={() => send('next-step')}
          aria-label="Next movement"
          title="Next movement (Page down)"
        >
          <SkipForward aria-hidden />
        </button>
        {mode === 'running' ? (
          <button
            type="button"
            className={`${big} max-sm:w-full`}
            onClick={onMark}
            title="Three tones, to be found in a recording"
          >
            Sync mark
          </button>
        ) : (
          <button type="button" className={`${big} max-sm:w-full`} disabled={mode === 'ready'} onClick={onSaveLog}>
            Save log
          </button>
        )}
      </div>
    </footer>
  );
}
