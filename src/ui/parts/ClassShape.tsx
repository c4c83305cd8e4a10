import { memo } from 'react';
import { unpackShape, type ShapeStretch } from '@/core/timeline';
import { formatClock } from '@/core/units';

interface Props {
  /** As `packShape` writes it. */
  readonly shape: string;
  readonly className?: string;
}

/** The drawing's own units; it is stretched to the room that it has. */
const WIDTH = 430;
const HEIGHT = 34;
const BASE = 25;
const TOP = 8;
/** A breath narrower than this is no curve to the eye. */
const NARROWEST_BREATH = 2.4;

/** A class drawn small: its sections, its spoken stretches, a wave for each breath, dots where it is silent. */
export const ClassShape = memo(function ClassShape({ shape, className = '' }: Props) {
  const stretches = unpackShape(shape);
  const total = stretches.reduce((sum, { seconds }) => sum + seconds, 0);
  if (total === 0) return null;
  const { line, dots, own, ticks } = drawn(stretches, total);
  return (
    <svg
      role="img"
      aria-label={inWords(stretches, total)}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      className={`block h-9 w-full overflow-visible ${className}`}
    >
      <path d={line} fill="var(--lung)" stroke="var(--color-primary)" vectorEffect="non-scaling-stroke" />
      <path
        d={dots}
        fill="none"
        stroke="var(--quiet-ink)"
        strokeWidth="1.5"
        strokeDasharray="1.5 3"
        vectorEffect="non-scaling-stroke"
      />
      <path d={own} fill="none" stroke="var(--color-primary)" strokeDasharray="5 3" vectorEffect="non-scaling-stroke" />
      <path d={ticks} fill="none" stroke="currentColor" strokeWidth="1.5" vectorEffect="non-scaling-stroke" />
    </svg>
  );
});

function drawn(stretches: readonly ShapeStretch[], total: number) {
  let line = '';
  let dots = '';
  let own = '';
  let ticks = '';
  let x = 0;
  for (const { kind, seconds, breaths, opens } of stretches) {
    const width = (seconds / total) * WIDTH;
    const to = x + width;
    if (opens) ticks += `M${r(x)} ${BASE - 6}V${BASE + 6}`;
    if (kind === 'silence') dots += `M${r(x)} ${BASE}H${r(to)}`;
    else if (kind === 'own') own += `M${r(x)} ${BASE - 6}H${r(to)}`;
    else line += kind === 'breath' ? waves(x, width, breaths) : `M${r(x)} ${BASE}H${r(to)}`;
    x = to;
  }
  return { line, dots, own, ticks: `${ticks}M${WIDTH} ${BASE - 6}V${BASE + 6}` };
}

function waves(from: number, width: number, breaths: number): string {
  const count = Math.max(1, Math.min(breaths, Math.floor(width / NARROWEST_BREATH)));
  const each = width / count;
  let path = `M${r(from)} ${BASE}`;
  for (let at = 0; at < count; at++) {
    const x = from + at * each;
    path += `C${r(x + each * 0.3)} ${BASE} ${r(x + each * 0.2)} ${TOP} ${r(x + each * 0.5)} ${TOP}`;
    path += `S${r(x + each * 0.7)} ${BASE} ${r(x + each)} ${BASE}`;
  }
  return path;
}

function r(value: number): string {
  return value.toFixed(1);
}

function inWords(stretches: readonly ShapeStretch[], total: number): string {
  const of = (kind: ShapeStretch['kind']): number =>
    stretches.reduce((sum, one) => sum + (one.kind === kind ? one.seconds : 0), 0);
  const breaths = stretches.reduce((sum, one) => sum + one.breaths, 0);
  const sections = stretches.filter(({ opens }) => opens).length;
  const parts = [
    `${formatClock(total)} in ${sections === 1 ? 'one section' : `${sections} sections`}`,
    `${formatClock(of('spoken'))} spoken`,
    `${breaths} breaths led`,
    of('silence') > 0 ? `${formatClock(of('silence'))} of silence` : '',
  ];
  return `Shape: ${parts.filter(Boolean).join(', ')}`;
}
