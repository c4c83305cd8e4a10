import type { Performance } from '@/core/conductor';
import { useLungs, type Breathing } from './use-lungs';

interface Props {
  readonly timeline: Breathing;
  readonly state: Performance;
}

/** The breath over a picture: a column at the edge that fills with the inhale and empties with the exhale. */
export function BreathColumn({ timeline, state }: Props) {
  const water = useLungs(timeline, state, (element, full) => {
    element.style.setProperty('transform', `scaleY(${(0.04 + 0.96 * full).toFixed(4)})`);
  });
  return (
    <div
      aria-hidden
      className="breath-column absolute top-[20%] right-[5%] bottom-[20%] w-6 overflow-hidden rounded-full"
    >
      <div ref={water} data-testid="breath-column" className="breath-column-water absolute inset-0 origin-bottom" />
    </div>
  );
}
