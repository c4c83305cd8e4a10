import { useEffect, useState } from 'react';

/** Grows from `from` to `count`, one at a time, each in a task of its own: so much of a view is drawn, none of it for long. */
export function useGrowing(count: number, from = 0): number {
  const [grown, setGrown] = useState(from);
  useEffect(() => {
    if (grown >= count) return undefined;
    const timer = setTimeout(() => setGrown(grown + 1));
    return () => clearTimeout(timer);
  }, [grown, count]);
  return Math.min(grown, count);
}
