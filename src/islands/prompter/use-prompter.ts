import { useCallback, useMemo, useState } from 'react';
import {
  movedBy,
  placeAt,
  projectedSeconds,
  roundsBy,
  type DoneEvent,
  type Performance,
  type Performed,
} from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { expandPlan, spellTimeline } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import { useKey } from '@/ui/parts/use-keys';
import { runToResume } from './saved-runs';
import { usePrompterSettings } from './settings';
import { useStages } from './use-stages';
import { targetOf, useCountdown, useClock } from './timing';
import { useLanding } from './use-landing';
import { useLive } from './use-live';
import { useEar } from '../ear/use-ear';
import { clockSeconds } from '../live/steady-clock';
import { usePerformance } from './use-performance';

interface Asked {
  readonly classId: string;
  readonly planned: ClassPlan;
  readonly spelling: Spelling;
}

/** The prompter without its looks: the performance, its clock, its settings, where it lands, and its keys. */
export function usePrompter({ classId, planned, spelling }: Asked) {
  const [settings, set] = usePrompterSettings();
  const spelled = useCallback(
    ({ plan, timeline }: Performed): Performed => ({ plan, timeline: spellTimeline(timeline, spelling) }),
    [spelling],
  );
  const timed = useCallback((plan: ClassPlan) => spelled({ plan, timeline: expandPlan(plan) }), [spelled]);
  const first = useMemo(() => timed(planned), [timed, planned]);
  const run = usePerformance(first, { classId, title: planned.title, by: settings.moves, timed });
  const { performed, adapt, state, send } = run;
  const { timeline } = performed;
  const [broken] = useState(() => runToResume(classId, first.timeline.runtimeSeconds, Date.now()));
  const { now, setNow, slept } = useClock(send, state);
  const { endsAt, setEndsAt, target, counting, countDown } = useStart(planned.targetSeconds, send, setNow);
  const toggle = (): void => {
    if (state.mode === 'ready' || state.mode === 'done') countDown(counting === null ? settings.countdown : null);
    else send(state.mode === 'running' ? 'hold' : 'go-on');
    setNow(clockSeconds());
  };
  useStages(classId, first.plan, state, performed);
  const moveBy = (moves: Performance['by']): void => {
    set({ moves });
    send(`by-${moves}`);
  };
  const ear = useEar({ ...run, on: settings.moves === 'ear', cues: timeline.cues });
  const place = placeAt(state, timeline, Math.max(now, state.sinceSeconds));
  const begun = state.mode === 'running' || state.mode === 'held';
  const round = (by: 1 | -1): void => {
    const next = begun ? roundsBy(performed, place, by) : null;
    if (next) adapt(spelled(next));
  };
  const take = (next: Performed): void => adapt(spelled(next));
  const landing = useLanding({
    performed,
    state,
    targetSeconds: target,
    events: run.events,
    takes: settings.landsByItself ? take : null,
  });
  const live = useLive({
    classId,
    performed,
    state,
    press: (kind) => pressedAs(kind, { toggle, moveBy, send }),
  });
  usePrompterKeys({
    toggle,
    round,
    send,
    byHand: () => moveBy(settings.moves === 'hand' ? 'clock' : 'hand'),
    byEar: () => moveBy(settings.moves === 'ear' ? 'clock' : 'ear'),
    mirror: () => set({ mirror: !settings.mirror }),
  });
  const ends = projectedSeconds(state, timeline, Math.max(now, state.sinceSeconds));
  return {
    ...{ run, performed, state, settings, set, moveBy, broken, now, place, begun, ends, target, counting },
    ...{ toggle, round, take, landing, endsAt, setEndsAt, live, ear, slept },
  };
}

/** Begins after a countdown, with a length or a time of day to land at. */
function useStart(usual: number, send: Keys['send'], setNow: (now: number) => void) {
  const [endsAt, setEndsAt] = useState('');
  const [target, setTarget] = useState(usual);
  const start = useCallback((): void => {
    setTarget(targetOf(endsAt, usual, Date.now()));
    send('start');
    setNow(clockSeconds());
  }, [endsAt, usual, send, setNow]);
  const [counting, countDown] = useCountdown(start);
  return { endsAt, setEndsAt, target, counting, countDown };
}

/** A press on a paired phone does what the same does here. */
function pressedAs(
  kind: DoneEvent['kind'],
  here: Pick<Keys, 'toggle' | 'send'> & { readonly moveBy: (moves: Performance['by']) => void },
): void {
  const by = movedBy(kind);
  if (kind === 'start') here.toggle();
  else if (by) here.moveBy(by);
  else here.send(kind);
}

interface Keys {
  readonly toggle: () => void;
  readonly round: (by: 1 | -1) => void;
  readonly send: ReturnType<typeof usePerformance>['send'];
  readonly byHand: () => void;
  readonly byEar: () => void;
  readonly mirror: () => void;
}

/** Keys as they are, and as presenter remotes and pedals send them. */
function usePrompterKeys({ toggle, round, send, byHand, byEar, mirror }: Keys): void {
  useKey('space', toggle);
  useKey('right, down', () => send('next-line'));
  useKey('left, up', () => send('line-back'));
  useKey('pagedown, s', () => send('next-step'));
  useKey('pageup', () => send('step-back'));
  useKey('equal, add, shift+equal', () => round(1));
  useKey('minus, subtract', () => round(-1));
  useKey('h', byHand);
  useKey('e', byEar);
  useKey('m', mirror);
  useKey('f', () => void fullScreen());
}

/** Full screen, or back from it. */
async function fullScreen(): Promise<void> {
  try {
    await (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen());
  } catch {
    // A browser that allows none stays as it is.
  }
}
