import { useEffect, useMemo, useRef, type RefObject } from 'react';
import { lungsAtStarts, lungsWithin, type PhaseKind } from '@/core/breath';
import { placeAt, type Course, type Performance } from '@/core/conductor';
import { itemAt, lastStartedAt, type Interval } from '@/core/units';
import { clockSeconds } from './steady-clock';

/** What breathes: a timeline, or what an audience sees of one. */
export interface Breathing extends Course {
  readonly phases: readonly (Interval & { readonly kind: PhaseKind | 'spoken' })[];
}

/**
 * An element that is drawn at every frame by how full the lungs are, 0 to 1; while the class stands still it is drawn
 * once. The place is kept beside it (`data-place`, in seconds), so that what is shown can be compared.
 */
export function useLungs(
  timeline: Breathing,
  state: Performance,
  draw: (element: HTMLElement, full: number) => void,
): RefObject<HTMLDivElement | null> {
  const element = useRef<HTMLDivElement>(null);
  const drawing = useRef(draw);
  useEffect(() => {
    drawing.current = draw;
  });
  const before = useMemo(() => lungsAtStarts(timeline.phases), [timeline]);
  useEffect(() => {
    let frame = 0;
    const show = (): void => {
      const place = placeAt(state, timeline, clockSeconds());
      const at = lastStartedAt(timeline.phases, place);
      const phase = timeline.phases[at];
      const along = phase ? (place - phase.startSeconds) / Math.max(0.001, phase.endSeconds - phase.startSeconds) : 0;
      const full = phase ? lungsWithin(phase.kind, along, itemAt(before, at)) : 0;
      if (element.current) {
        drawing.current(element.current, full);
        element.current.dataset.place = place.toFixed(3);
      }
      if (state.mode === 'running') frame = requestAnimationFrame(show);
    };
    show();
    return () => cancelAnimationFrame(frame);
  }, [timeline, state, before]);
  return element;
}
