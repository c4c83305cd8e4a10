import { useEffect, useRef } from 'react';
import type { Performance, Performed } from '@/core/conductor';
import { standingOf } from '@/core/live';
import type { ClassPlan } from '@/core/plan';
import { channelOf, type StageMessage } from '../live/local-channel';
import { clockSeconds } from '../live/steady-clock';

/** Tells second screens of this browser where the class stands: whenever that changes, and when one asks. */
export function useStages(classId: string, planned: ClassPlan, state: Performance, performed: Performed): void {
  const latest = useRef({ state, performed });
  const channel = useRef<BroadcastChannel | null>(null);
  const tell = useRef<() => void>(() => undefined);
  useEffect(() => {
    tell.current = () => {
      const { state: now, performed: given } = latest.current;
      const standing = standingOf(now, given.timeline, { steady: clockSeconds(), shared: Date.now() });
      const changed = given.plan === planned ? null : given.plan;
      channel.current?.postMessage({ kind: 'standing', standing, performed: changed } satisfies StageMessage);
    };
  }, [planned]);
  useEffect(() => {
    const opened = new BroadcastChannel(channelOf(classId));
    channel.current = opened;
    opened.onmessage = ({ data }: MessageEvent<StageMessage>) => {
      if (data.kind === 'asks') tell.current();
    };
    return () => {
      channel.current = null;
      opened.close();
    };
  }, [classId]);
  useEffect(() => {
    latest.current = { state, performed };
    tell.current();
  }, [state, performed]);
}
