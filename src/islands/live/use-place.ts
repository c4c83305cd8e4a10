import { useEffect, useState } from 'react';
import { placeAt, type Course, type Performance } from '@/core/conductor';
import type { Seconds } from '@/core/units';
import { clockSeconds } from './steady-clock';

const TICK_MILLISECONDS = 100;

/** Where a performance stands now, looked at ten times a second. */
export function usePlace(state: Performance, course: Course): Seconds {
  const [now, setNow] = useState(clockSeconds);
  useEffect(() => {
    const timer = setInterval(() => setNow(clockSeconds()), TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, []);
  return placeAt(state, course, Math.max(now, state.sinceSeconds));
}
