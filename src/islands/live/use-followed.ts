import { useEffect, useRef, useState } from 'react';
import type { LiveResponse } from '@/api/live';
import { READY, type Performance } from '@/core/conductor';
import { performanceOf, type ShownClass, type Standing } from '@/core/live';
import { hearLive } from './live-events';
import { SharedClock } from './shared-clock';
import { clockSeconds } from './steady-clock';

export interface Followed {
  readonly shown: ShownClass;
  /** The performance on this page's steady clock; before anything was told it is not begun. */
  readonly state: Performance;
  /** Whether news come in. Between them the page keeps time alone. */
  readonly link: 'open' | 'away' | 'over';
  /** The shared clock at this moment, in milliseconds, once it is known; `null` where nobody tells. */
  readonly sharedNow: () => Promise<number | null>;
}

/** A live class as it goes on, seen from another device. */
export function useFollowed({ code, number, shown: first, standing: firstStanding }: LiveResponse): Followed {
  const [shown, setShown] = useState(first);
  const [state, setState] = useState<Performance>(READY);
  const [link, setLink] = useState<Followed['link']>('open');
  const clock = useRef<SharedClock | null>(null);
  useEffect(() => {
    let standing: Standing | null = firstStanding;
    const show = (): void => {
      const shared = clock.current?.now() ?? null;
      if (standing && shared !== null) setState(performanceOf(standing, { steady: clockSeconds(), shared }));
    };
    const asked = new SharedClock(code, show);
    clock.current = asked;
    asked.start();
    const stop = hearLive(code, number, {
      stands: (snapshot) => {
        setShown(snapshot.shown);
        standing = snapshot.standing;
        show();
      },
      event: (event) => {
        if (event.kind === 'shown') setShown(event.shown);
        if (event.kind === 'standing') standing = event.standing;
        show();
      },
      link: (open) => setLink((before) => (before === 'over' ? before : open ? 'open' : 'away')),
      over: () => setLink('over'),
    });
    return () => {
      stop();
      asked.stop();
    };
  }, [code, number, firstStanding]);
  const sharedNow = async (): Promise<number | null> => {
    const steady = performance.now();
    if (clock.current?.ahead() === null) await clock.current.ask();
    const ahead = clock.current?.ahead() ?? null;
    return ahead === null ? null : steady + ahead;
  };
  return { shown, state, link, sharedNow };
}
