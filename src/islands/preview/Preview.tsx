import { Pause, Play } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { lungsAtStarts, lungsWithin } from '@/core/breath';
import { performedSteps } from '@/core/plan';
import { cueAt, expandPlan, nextCue, performedName, spellTimeline, stepAt, type Timeline } from '@/core/timeline';
import { itemAt, formatClock, lastStartedAt, type Seconds } from '@/core/units';
import type { Spelling } from '@/core/words';
import { CheckBox } from '@/ui/parts/CheckBox';
import { AppHead } from '@/ui/layout/AppHead';
import { useKey } from '@/ui/parts/use-keys';
import { PracticeTake } from './PracticeTake';
import { PreviewSound, type PreviewState } from './sound';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly spelling: Spelling;
}

const SAYS: Readonly<Record<PreviewState, string>> = {
  ready: '',
  preparing: 'Preparing the voice for the next lines.',
  playing: '',
  paused: '',
  failed: 'The voice could not be loaded. Check that the server answers, reload the page and try again.',
};

/** A class heard before it is recorded: a plain synthetic voice says the lines where they stand, tones lead the breath. */
export function Preview({ studio, stored, spelling }: Props) {
  const { plan } = stored;
  const timeline = useMemo(() => spellTimeline(expandPlan(plan), spelling), [plan, spelling]);
  const sound = useRef<PreviewSound | null>(null);
  const [state, setState] = useState<PreviewState>('ready');
  const [seconds, setSeconds] = useState<Seconds>(0);
  const [heard, setHeard] = useState({ voice: true, tones: true });
  useEffect(() => () => sound.current?.close(), []);
  useEffect(() => {
    if (state !== 'playing') return;
    const timer = setInterval(() => setSeconds(sound.current?.seconds ?? 0), 100);
    return () => clearInterval(timer);
  }, [state]);
  /** Sound may only be begun when somebody asks for it. */
  const player = (): PreviewSound => {
    if (!sound.current) {
      sound.current = new PreviewSound(timeline, plan.voice.syllablesPerMinute, setState);
      for (const what of ['voice', 'tones'] as const) sound.current.hear(what, heard[what]);
    }
    return sound.current;
  };
  const toggle = (): void => {
    if (state === 'playing') player().pause();
    else player().play(seconds);
  };
  const goTo = (to: Seconds): void => {
    setSeconds(to);
    if (state === 'playing' || state === 'preparing') player().play(to);
  };
  const switchOn = (what: 'voice' | 'tones', on: boolean): void => {
    setHeard({ ...heard, [what]: on });
    sound.current?.hear(what, on);
  };
  useKey('space', toggle, {
    ignoreEventWhen: (event) =>
      event.target instanceof HTMLElement && event.target.closest('button, a, input') !== null,
  });
  const now = cueAt(timeline, seconds);
  const next = nextCue(timeline, seconds);
  const step = stepAt(timeline, seconds);
  const names = new Map(performedSteps(plan).map((one) => [one.step.id, performedName(one, plan.style)]));
  return (
    <div className="mx-auto max-w-6xl px-5 py-2 max-sm:px-3">
      <AppHead
        studio={studio}
        trail={[{ href: `/classes/${stored.id}`, words: plan.title }]}
        title="Preview"
        keys={[{ keys: 'Space', does: 'play or pause' }]}
      />
      <main id="main" tabIndex={-1}>
        <p className="quiet-ink mb-4">
          A synthetic voice says each line at its time; a low tone rises and falls with the breath.
        </p>
        <section aria-label="The class" className="bg-base-100 border-base-300 rounded border p-5">
          <div className="flex flex-wrap items-baseline gap-x-6">
            <span className="text-3xl font-semibold tabular-nums" aria-label="Place in the class">
              {formatClock(seconds)}
            </span>
            <span className="quiet-ink">of {formatClock(timeline.runtimeSeconds)}</span>
            <span className="text-xl">{names.get(step?.step ?? '') ?? ''}</span>
          </div>
          <BreathBar timeline={timeline} seconds={seconds} />
          <p data-testid="line-now" className="min-h-24 font-serif text-4xl leading-tight">
            {now?.text ?? ''}
          </p>
          <p className="quiet-ink min-h-8 font-serif text-xl">{next ? next.text : ''}</p>
          <input
            type="range"
            className="range range-sm mt-2 h-6 w-full"
            aria-label="Place in the class, in seconds"
            aria-valuetext={formatClock(seconds)}
            min={0}
            max={Math.floor(timeline.runtimeSeconds)}
            value={Math.floor(seconds)}
            onChange={(event) => goTo(Number(event.target.value))}
          />
          <div className="mt-3 flex flex-wrap items-center gap-x-6 gap-y-2">
            <button type="button" className="btn btn-primary w-32" onClick={toggle}>
              {state === 'playing' ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
              {state === 'playing' ? 'Pause' : 'Play'}
            </button>
            <CheckBox label="Voice" checked={heard.voice} onChange={(on) => switchOn('voice', on)} />
            <CheckBox label="Breath tones" checked={heard.tones} onChange={(on) => switchOn('tones', on)} />
            <label className="flex items-center gap-2">
              From
              <select
                className="select select-sm w-56"
                value={step?.step ?? ''}
                onChange={(event) =>
                  goTo(timeline.steps.find((one) => one.step === event.target.value)?.startSeconds ?? 0)
                }
              >
                {timeline.steps
                  .filter(({ startSeconds, endSeconds }) => endSeconds > startSeconds)
                  .map((one) => (
                    <option key={one.step} value={one.step}>
                      {formatClock(one.startSeconds)} {names.get(one.step)}
                    </option>
                  ))}
              </select>
            </label>
            <span role="status" className={state === 'failed' ? 'text-error font-semibold' : 'quiet-ink'}>
              {SAYS[state]}
            </span>
          </div>
        </section>
        <PracticeTake plan={plan} />
      </main>
    </div>
  );
}

const BREATH_WORDS = {
  inhale: 'inhale',
  exhale: 'exhale',
  hold: 'hold',
  free: 'own breath',
  spoken: 'own breath',
} as const;

/** How full the lungs are, as a bar that grows and shrinks; words for those who do not see it. */
function BreathBar({ timeline, seconds }: { readonly timeline: Timeline; readonly seconds: Seconds }) {
  const starts = useMemo(() => lungsAtStarts(timeline.phases), [timeline]);
  const at = lastStartedAt(timeline.phases, seconds);
  const phase = timeline.phases.at(Math.max(0, at));
  const length = phase ? phase.endSeconds - phase.startSeconds : 0;
  const along = phase && length > 0 ? (seconds - phase.startSeconds) / length : 0;
  const full = phase ? lungsWithin(phase.kind, along, itemAt(starts, Math.max(0, at))) : 0;
  const says = phase ? BREATH_WORDS[phase.kind] : BREATH_WORDS.free;
  return (
    <div className="my-3">
      <div className="bg-base-200 h-3 rounded" aria-hidden>
        <div className="bg-primary h-3 rounded" style={{ width: `${4 + 96 * full}%` }} />
      </div>
      <p className="quiet-ink mt-1 text-sm">{says}</p>
    </div>
  );
}
