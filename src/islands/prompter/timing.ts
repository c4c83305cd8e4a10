import { useEffect, useRef, useState } from 'react';
import type { Performance } from '@/core/conductor';
import type { Seconds } from '@/core/units';
import { clockSeconds } from '../live/steady-clock';

const DAY = 24 * 3600;
/** A class shorter than this is none. */
const LEAST: Seconds = 60;

/** How long a class is that begins `now` and ends at a time of day (`hh:mm`), in seconds; `usual` where none is set. */
export function targetOf(endsAt: string, usual: Seconds, now: number): Seconds {
  const match = /^(\d{2}):(\d{2})/.exec(endsAt);
  if (!match) return usual;
  const end = new Date(now);
  end.setHours(Number(match[1]), Number(match[2]), 0, 0);
  const left = (end.getTime() - now) / 1000;
  // Just after midnight is the next day's.
  const ahead = left < -DAY / 2 ? left + DAY : left;
  return ahead >= LEAST ? ahead : usual;
}

/** Seconds that are counted down before something is done; `null` where none are. Counting again stops it. */
export function useCountdown(done: () => void): readonly [number | null, (seconds: number | null) => void] {
  const [left, setLeft] = useState<number | null>(null);
  const then = useRef(done);
  useEffect(() => {
    then.current = done;
  });
  useEffect(() => {
    if (left === null) return;
    const timer = setTimeout(() => {
      setLeft(left > 1 ? left - 1 : null);
      if (left <= 1) then.current();
    }, 1000);
    return () => clearTimeout(timer);
  }, [left]);
  const count = (seconds: number | null): void => {
    setLeft(seconds === null || seconds === 0 ? null : seconds);
    if (seconds === 0) done();
  };
  return [left, count];
}

const TICK_MILLISECONDS = 100;
/** A page in the background is given the clock once a minute; a longer gap is a computer that slept. */
const ASLEEP_AFTER: Seconds = 90;

/** A moment by both clocks: a steady one may stand still while a computer sleeps, the wall clock never does. */
export interface Moment {
  readonly steadySeconds: Seconds;
  readonly wallMilliseconds: number;
}

/** How long a computer slept between two moments that should follow at once; `null` where it did not. */
export function sleptBetween(before: Moment, after: Moment): Seconds | null {
  const wall = (after.wallMilliseconds - before.wallMilliseconds) / 1000;
  const gap = Math.max(after.steadySeconds - before.steadySeconds, wall);
  return gap > ASLEEP_AFTER ? gap : null;
}

/**
 * The clock as it is shown, ten times a second, and how to set it at once; the performance is told each time. Where the
 * computer slept meanwhile it is paused where it stood, and `slept` is how long that was, for as long as it is. A page
 * that nobody saw was put to rest by the browser, and goes on.
 */
export function useClock(
  send: (kind: 'tick' | 'hold', now?: Seconds) => void,
  { mode, sinceSeconds }: Pick<Performance, 'mode' | 'sinceSeconds'>,
): { readonly now: Seconds; readonly setNow: (now: Seconds) => void; readonly slept: Seconds | null } {
  const [now, setNow] = useState(clockSeconds);
  const [sleep, setSleep] = useState<{ readonly seconds: Seconds; readonly since: Seconds } | null>(null);
  useEffect(() => {
    const moment = (): Moment => ({ steadySeconds: clockSeconds(), wallMilliseconds: Date.now() });
    let before = moment();
    let seen = true;
    const timer = setInterval(() => {
      const after = moment();
      const gap = sleptBetween(before, after);
      if (gap !== null && seen) {
        send('hold', before.steadySeconds);
        setSleep({ seconds: gap, since: before.steadySeconds });
      }
      [before, seen] = [after, document.visibilityState === 'visible'];
      setNow(after.steadySeconds);
      send('tick');
    }, TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, [send]);
  // Paused by a hand later is another pause.
  const slept = mode === 'held' && sleep?.since === sinceSeconds ? sleep.seconds : null;
  return { now, setNow, slept };
}
