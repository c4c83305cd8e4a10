import { useEffect, useState } from 'react';
import type { Performance } from '@/core/conductor';
import { performanceOf } from '@/core/live';
import type { ClassPlan } from '@/core/plan';
import { channelOf, type StageMessage } from './local-channel';
import { clockSeconds } from './steady-clock';

interface Heard {
  /** The performance on this window's clock. */
  readonly state: Performance;
  readonly performed: ClassPlan | null;
}

const ASK_AGAIN_MILLISECONDS = 2_000;

/** Where the prompter of this browser stands with a class; `null` until one answers. */
export function useLocalStanding(classId: string): Heard | null {
  const [standing, setStanding] = useState<Heard | null>(null);
  const heard = standing !== null;
  useEffect(() => {
    const channel = new BroadcastChannel(channelOf(classId));
    channel.onmessage = ({ data }: MessageEvent<StageMessage>) => {
      if (data.kind !== 'standing') return;
      const state = performanceOf(data.standing, { steady: clockSeconds(), shared: Date.now() });
      setStanding({ state, performed: data.performed });
    };
    const ask = (): void => channel.postMessage({ kind: 'asks' } satisfies StageMessage);
    ask();
    const timer = heard ? undefined : setInterval(ask, ASK_AGAIN_MILLISECONDS);
    return () => {
      clearInterval(timer);
      channel.close();
    };
  }, [classId, heard]);
  return standing;
}
