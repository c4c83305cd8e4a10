import { itemAt } from '@/core/units';
import { PHASE_WORDS } from '@/messages/movement';
import { useRef } from 'react';
import { lungsAfter, lungsWithin, phaseSeconds, type Pace } from '@/core/breath';
import type { Phase } from '@/core/movement';

interface Props {
  readonly pattern: readonly Phase[];
  readonly pace: Pace;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
  /** Moves the border after a phase by seconds. */
  readonly onBorder: (index: number, seconds: number) => void;
}

const WIDTH = 270;
const LEFT = 8;
const SWAY = 84;
const STEPS = 14;

/** One round falling down the page: the lung curve, a band for each phase, and borders that can be taken hold of. */
export function PatternCurve({ pattern, pace, chosen, onChoose, onBorder }: Props) {
  const lengths = pattern.map((phase) => phaseSeconds(phase, pace));
  const total = lengths.reduce((sum, length) => sum + length, 0);
  const scale = Math.min(26, Math.max(7, 250 / Math.max(1, total)));
  const tops = lengths.map((_, index) => lengths.slice(0, index).reduce((sum, length) => sum + length, 0) * scale);
  const height = Math.max(40, total * scale);
  const drag = useRef<{ readonly index: number; y: number } | null>(null);
  return (
    <svg
      width={WIDTH}
      height={height + 12}
      className="touch-none"
      aria-hidden
      onPointerMove={(event) => {
        if (!drag.current) return;
        const moved = (event.clientY - drag.current.y) / scale;
        if (Math.abs(moved) < 0.1) return;
        onBorder(drag.current.index, Math.round(moved * 10) / 10);
        drag.current.y = event.clientY;
      }}
      onPointerUp={() => {
        drag.current = null;
      }}
    >
      <g transform="translate(0 6)">
        {pattern.map((phase, index) => (
          <g key={phase.id} onPointerDown={() => onChoose(index)}>
            <rect
              x={LEFT}
              y={tops[index]}
              width={WIDTH - LEFT * 2}
              height={Math.max(1, itemAt(lengths, index) * scale)}
              fill={index === chosen ? 'var(--color-secondary)' : 'transparent'}
            />
            <text x={LEFT + SWAY + 16} y={itemAt(tops, index) + 15} fontSize="13" fill="currentColor">
              {PHASE_WORDS[phase.kind]} {itemAt(lengths, index).toFixed(1)} s
              {phase.action === '' ? '' : ` · ${phase.action.slice(0, 22)}`}
            </text>
          </g>
        ))}
        <path d={curve(pattern, lengths, scale)} fill="var(--lung)" stroke="var(--color-primary)" strokeWidth="2" />
        {pattern.slice(0, -1).map((phase, index) => (
          <g
            key={phase.id}
            className="cursor-ns-resize"
            onPointerDown={(event) => {
              (event.target as Element).setPointerCapture(event.pointerId);
              drag.current = { index, y: event.clientY };
            }}
          >
            <rect x={LEFT} y={itemAt(tops, index + 1) - 7} width={WIDTH - LEFT * 2} height="14" fill="transparent" />
            <line
              x1={LEFT}
              x2={WIDTH - LEFT}
              y1={tops[index + 1]}
              y2={tops[index + 1]}
              stroke="var(--color-accent)"
              strokeDasharray="2 4"
            />
          </g>
        ))}
      </g>
    </svg>
  );
}

/** The closed outline of how full the lungs are, from the top down. */
function curve(pattern: readonly Phase[], lengths: readonly number[], scale: number): string {
  let y = 0;
  let before = 0;
  const points: string[] = [`M ${LEFT} 0`];
  pattern.forEach((phase, index) => {
    for (let step = 0; step <= STEPS; step++) {
      const full = lungsWithin(phase.kind, step / STEPS, before);
      points.push(
        `L ${(LEFT + full * SWAY).toFixed(1)} ${(y + (itemAt(lengths, index) * scale * step) / STEPS).toFixed(1)}`,
      );
    }
    before = lungsAfter(phase.kind, before);
    y += itemAt(lengths, index) * scale;
  });
  points.push(`L ${LEFT} ${y.toFixed(1)} Z`);
  return points.join(' ');
}
