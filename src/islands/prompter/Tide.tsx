import { useEffect, useMemo, useRef } from 'react';
import { lungsAtStarts, lungsWithin } from '@/core/breath';
import { placeAt, type Performance } from '@/core/conductor';
import type { Timeline } from '@/core/timeline';
import { itemAt, lastStartedAt } from '@/core/units';
import { clockSeconds } from './use-performance';

interface Props {
  readonly timeline: Timeline;
  readonly state: Performance;
}

/** The whole ground as water: it rises with the inhale and sinks with the exhale. With reduced motion, a bar. */
export function Tide({ timeline, state }: Props) {
  const water = useRef<HTMLDivElement>(null);
  const before = useMemo(() => lungsAtStarts(timeline.phases), [timeline]);
  useEffect(() => {
    let frame = 0;
    const draw = (): void => {
      const place = placeAt(state, timeline, clockSeconds());
      const at = lastStartedAt(timeline.phases, place);
      const phase = timeline.phases[at];
      const along = phase ? (place - phase.startSeconds) / Math.max(0.001, phase.endSeconds - phase.startSeconds) : 0;
      const full = phase ? lungsWithin(phase.kind, along, itemAt(before, at)) : 0;
      water.current?.style.setProperty('transform', `scaleY(${(0.14 + 0.66 * full).toFixed(4)})`);
      if (state.mode === 'running') frame = requestAnimationFrame(draw);
    };
    draw();
    return () => cancelAnimationFrame(frame);
  }, [timeline, state, before]);
  return (
    <div aria-hidden className="absolute inset-0 overflow-hidden motion-reduce:left-auto motion-reduce:w-6">
      <div ref={water} className="tide-water absolute inset-0 origin-bottom" />
    </div>
  );
}
