import type { Performance } from '@/core/conductor';
import { useLungs, type Breathing } from './use-lungs';

interface Props {
  readonly timeline: Breathing;
  readonly state: Performance;
}

/** The whole ground as water: it rises with the inhale and sinks with the exhale. With reduced motion, a bar. */
export function Tide({ timeline, state }: Props) {
  const water = useLungs(timeline, state, (element, full) => {
    element.style.setProperty('transform', `scaleY(${(0.14 + 0.66 * full).toFixed(4)})`);
  });
  return (
    <div
      aria-hidden
      className="absolute inset-0 overflow-hidden motion-reduce:left-auto motion-reduce:w-6 max-md:motion-reduce:w-3"
    >
      <div ref={water} data-testid="tide" className="tide-water absolute inset-0 origin-bottom" />
    </div>
  );
}
