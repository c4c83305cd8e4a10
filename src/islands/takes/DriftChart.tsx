import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Reading } from '@/core/reading';
import { formatClock, formatDifference } from '@/core/units';

/** Drift over the class: above the line the take is late, below it early. */
export function DriftChart({ reading }: { readonly reading: Reading }) {
  const points = reading.cues.flatMap((cue) =>
    cue.saidAtSeconds === null
      ? []
      : [{ planned: cue.plannedSeconds, drift: Math.round((cue.saidAtSeconds - cue.plannedSeconds) * 10) / 10 }],
  );
  const drifts = points.map((point) => point.drift);
  const words =
    points.length === 0
      ? 'No line was found, so there is no drift to draw.'
      : `Between ${formatDifference(Math.min(...drifts))} and ${formatDifference(Math.max(...drifts))} over ${points.length} lines; ${formatDifference(drifts[drifts.length - 1])} at the last.`;
  return (
    <figure>
      <figcaption className="mb-2">
        <h2 className="font-semibold">Drift</h2>
        <p className="text-sm">{words} Above zero is late.</p>
      </figcaption>
      {points.length > 0 && (
        <div aria-hidden>
          <ResponsiveContainer width="100%" height={260}>
            <LineChart data={points} margin={{ top: 8, right: 8, bottom: 4, left: 0 }} accessibilityLayer={false}>
              <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
              <XAxis
                dataKey="planned"
                type="number"
                domain={[0, 'dataMax']}
                tickFormatter={(value: number) => formatClock(value)}
                stroke="var(--quiet-ink)"
                tick={{ fill: 'var(--quiet-ink)', fontSize: 12 }}
              />
              <YAxis
                width={48}
                tickFormatter={(value: number) => formatDifference(value)}
                stroke="var(--quiet-ink)"
                tick={{ fill: 'var(--quiet-ink)', fontSize: 12 }}
              />
              <ReferenceLine y={0} stroke="var(--color-base-content)" />
              <Tooltip
                formatter={(value) => [`${Number(value).toFixed(1)} s`, 'drift']}
                labelFormatter={(label) => `planned ${formatClock(Number(label))}`}
                contentStyle={{ background: 'var(--color-base-100)', border: '1px solid var(--color-base-300)' }}
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
        </div>
      )}
    </figure>
  );
}
