import { useEffect, useRef, useState } from 'react';
import type { Seconds } from '@/core/units';

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
