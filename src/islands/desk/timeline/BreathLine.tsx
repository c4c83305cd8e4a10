import { useMemo } from 'react';
import { lungsAtStarts, lungsWithin } from '@/core/breath';
import type { TimedPhase } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';

interface Props {
  readonly phases: readonly TimedPhase[];
  readonly yOf: (seconds: Seconds) => number;
  readonly height: number;
  readonly width: number;
}

const POINTS_A_PHASE = 9;
const MARGIN = 4;

/** The drawn curve of how full the lungs are, falling down the page beside what it belongs to. */
export function BreathLine({ phases, yOf, height, width }: Props) {
  const { line, lungs } = useMemo(() => curve(phases, yOf, width), [phases, yOf, width]);
  return (
    <svg width={width} height={Math.max(1, height)} className="block overflow-visible" aria-hidden>
      <path d={lungs} fill="var(--lung)" />
      <path d={line} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
    </svg>
  );
}

function curve(
  phases: readonly TimedPhase[],
  yOf: (seconds: Seconds) => number,
  width: number,
): { line: string; lungs: string } {
  const before = lungsAtStarts(phases);
  const points: string[] = [];
  phases.forEach((phase, index) => {
    const straight = phase.kind === 'spoken' || phase.kind === 'free';
    const count = straight ? 1 : POINTS_A_PHASE;
    for (let at = 0; at <= count; at++) {
      const along = at / count;
      const x = MARGIN + lungsWithin(phase.kind, along, itemAt(before, index)) * (width - 2 * MARGIN);
      const y = yOf(phase.startSeconds + along * (phase.endSeconds - phase.startSeconds));
      points.push(`${x.toFixed(1)} ${y.toFixed(1)}`);
    }
  });
  if (points.length === 0) return { line: '', lungs: '' };
  const line = `M${points.join('L')}`;
  const bottom = itemAt(points, points.length - 1).split(' ')[1];
  const top = itemAt(points, 0).split(' ')[1];
  return { line, lungs: `${line}L${MARGIN} ${bottom}L${MARGIN} ${top}Z` };
}
