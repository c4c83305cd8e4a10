import { useEffect, useRef, useState } from 'react';
import {
  isWorthChanging,
  lateBy,
  placeAt,
  rateOf,
  replan,
  type LoggedEvent,
  type Performance,
  type Performed,
  type Replan,
} from '@/core/conductor';
import { stepAt } from '@/core/timeline';
import type { Seconds } from '@/core/units';
import { clockSeconds } from '../live/steady-clock';

const LOOK_MILLISECONDS = 1_000;
/** A change is thought over again when the lateness has moved by this. */
const MOVED: Seconds = 3;
/** Late or early by this is told even where nothing can be changed. */
const TOLD_ANYWAY: Seconds = 20;
const ON_TIME: Landing = { lateSeconds: 0, offered: null, isTold: false };

function landingOf(lateSeconds: Seconds, offered: Replan | null): Landing {
  return { lateSeconds, offered, isTold: offered !== null || Math.abs(lateSeconds) > TOLD_ANYWAY };
}

export interface Landing {
  /** Late, or early below 0, were nothing changed. */
  readonly lateSeconds: Seconds;
  readonly offered: Replan | null;
  /** Whether it is worth telling: with a change to offer, or so late that one would want to know without. */
  readonly isTold: boolean;
}

interface Asked {
  readonly performed: Performed;
  readonly state: Performance;
  readonly targetSeconds: Seconds;
  readonly events: () => readonly LoggedEvent[];
  /** Takes a change by itself. */
  readonly takes: ((change: Replan) => void) | null;
}

/** Looks every second whether the class still lands, and what to change in what is left where it does not. */
export function useLanding(asked: Asked): Landing {
  const latest = useRef(asked);
  useEffect(() => {
    latest.current = asked;
  });
  const [landing, setLanding] = useState<Landing>(ON_TIME);
  const thought = useRef<{ readonly of: Performed; readonly step: string; readonly late: Seconds } | null>(null);
  const { performed, state, targetSeconds } = asked;
  useEffect(() => {
    const look = (): void => {
      const { performed: now, state: at, targetSeconds: target, events, takes } = latest.current;
      if (at.mode !== 'running' && at.mode !== 'held') return setLanding(ON_TIME);
      const clock = clockSeconds();
      const placeSeconds = placeAt(at, now.timeline, clock);
      const rate = at.by === 'clock' ? 1 : rateOf(events());
      const standing = { placeSeconds, elapsedSeconds: clock - at.startedSeconds, targetSeconds: target, rate };
      const lateSeconds = lateBy(now.timeline, standing);
      if (!isWorthChanging(now.timeline, standing)) {
        thought.current = null;
        return setLanding(ON_TIME);
      }
      const step = stepAt(now.timeline, placeSeconds)?.step ?? '';
      const before = thought.current;
      const same = before?.of === now && before.step === step && Math.abs(before.late - lateSeconds) < MOVED;
      if (same) return setLanding(({ offered }) => landingOf(lateSeconds, offered));
      thought.current = { of: now, step, late: lateSeconds };
      const offered = replan(now.plan, now.timeline, standing);
      if (offered && takes && at.mode === 'running') takes(offered);
      else setLanding(landingOf(lateSeconds, offered));
    };
    look();
    const timer = setInterval(look, LOOK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [performed, state, targetSeconds]);
  return landing;
}
