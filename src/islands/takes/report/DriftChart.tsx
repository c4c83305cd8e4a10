import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Reading } from '@/core/reading';
import { itemAt, formatClock, formatDifference } from '@/core/units';
import { Drawing } from '@/ui/parts/Drawing';
import { roundTicks } from './round-ticks';
import { AXIS, GRID, TOOLTIP } from './chart-looks';

/** Drift over the class: above the line the take is late, below it early. */
export function DriftChart({ reading }: { readonly reading: Reading }) {
  const points = reading.cues.flatMap((cue) =>
    cue.actualStart === null
      ? []
      : [
          {
            text: cue.text,
            planned: cue.plannedStart,
            said: cue.actualStart,
            drift: Math.round((cue.actualStart - cue.plannedStart) * 10) / 10,
          },
        ],
  );
  const drifts = points.map((point) => point.drift);
  const words =
    points.length === 0
      ? 'No line was found, so there is no drift to draw.'
      : `Between ${formatDifference(Math.min(...drifts))} and ${formatDifference(Math.max(...drifts))} over ${points.length} lines; ${formatDifference(itemAt(drifts, drifts.length - 1))} at the last. Above zero is late.`;
  return (
    <Drawing
      title="Drift"
      words={words}
      heads={['Line', 'Planned', 'Said', 'Drift']}
      rows={points.map(({ text, planned, said, drift }) => [
        text,
        formatClock(planned),
        formatClock(said),
        `${drift > 0 ? '+' : ''}${drift.toFixed(1)} s`,
      ])}
    >
      <ResponsiveContainer width="100%" height={220}>
        <LineChart data={points} margin={{ top: 8, right: 8, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid {...GRID} vertical={false} />
          <XAxis
            dataKey="planned"
            type="number"
            {...roundTicks(0, points.at(-1)?.planned ?? 60, 6, true)}
            tickFormatter={(value: number) => formatClock(value)}
            {...AXIS}
          />
          <YAxis
            width={52}
            {...roundTicks(Math.min(0, ...drifts), Math.max(0, ...drifts), 5, true)}
            tickFormatter={(value: number) => formatDifference(value)}
            {...AXIS}
          />
          <ReferenceLine y={0} stroke="var(--color-base-content)" />
          <Tooltip
            formatter={(value) => [`${Number(value).toFixed(1)} s`, 'drift']}
            labelFormatter={(label) => `planned ${formatClock(Number(label))}`}
            contentStyle={TOOLTIP}
          />
          <Line
            dataKey="drift"
            stroke="var(--color-accent)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
            type="linear"
          />
        </LineChart>
      </ResponsiveContainer>
    </Drawing>
  );
}
