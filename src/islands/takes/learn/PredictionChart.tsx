import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Prediction } from '@/core/learn';
import { formatClock, formatDifference } from '@/core/units';
import { Drawing } from '@/ui/parts/Drawing';
import { roundTicks } from '../report/round-ticks';
import { AXIS, GRID, TOOLTIP } from '../report/chart-looks';

interface Props {
  readonly names: readonly string[];
  readonly predictions: readonly Prediction[];
}

/** How long each take was planned, what was predicted from those before it, and how long it was. */
export function PredictionChart({ names, predictions }: Props) {
  const points = predictions.map((one, index) => ({ take: `Take ${index + 1}`, ...one }));
  const seconds = predictions.flatMap(({ plannedSeconds, predictedSeconds, actualSeconds }) =>
    [plannedSeconds, predictedSeconds, actualSeconds].filter((one) => one !== null),
  );
  const last = predictions.at(-1);
  const off = last?.predictedSeconds && last.actualSeconds ? last.predictedSeconds - last.actualSeconds : null;
  const words =
    off === null
      ? 'Each take is predicted from the takes before it, and shown here beside the actual length.'
      : `The last take was predicted ${off === 0 ? 'to the second' : `${formatDifference(off)} off`}, from ${predictions.length - 1} before it; planned, it was ${formatDifference((last?.plannedSeconds ?? 0) - (last?.actualSeconds ?? 0))} off.`;
  const clock = (seconds: number | null): string => (seconds === null ? '–' : formatClock(seconds));
  return (
    <Drawing
      title="Predicted and actual"
      words={words}
      heads={['Take', 'Planned', 'Predicted', 'Actual']}
      rows={predictions.map(({ plannedSeconds, predictedSeconds, actualSeconds }, index) => [
        names[index] ?? '',
        clock(plannedSeconds),
        clock(predictedSeconds),
        clock(actualSeconds),
      ])}
    >
      <ResponsiveContainer width="100%" height={240}>
        <LineChart data={points} margin={{ top: 8, right: 16, bottom: 4, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid {...GRID} vertical={false} />
          <XAxis dataKey="take" padding={{ left: 40, right: 40 }} {...AXIS} />
          <YAxis
            width={56}
            {...roundTicks(Math.min(...seconds) * 0.98, Math.max(...seconds) * 1.02, 5, true)}
            tickFormatter={(value: number) => formatClock(value)}
            {...AXIS}
          />
          <Tooltip formatter={(value) => formatClock(Number(value))} contentStyle={TOOLTIP} />
          <Legend verticalAlign="top" align="left" height={26} />
          <Line
            dataKey="plannedSeconds"
            name="planned"
            stroke="var(--quiet-ink)"
            strokeDasharray="2 4"
            isAnimationActive={false}
          />
          <Line
            dataKey="predictedSeconds"
            name="predicted"
            stroke="var(--color-primary)"
            strokeDasharray="7 4"
            strokeWidth={2}
            isAnimationActive={false}
          />
          <Line
            dataKey="actualSeconds"
            name="actual"
            stroke="var(--color-accent)"
            strokeWidth={2}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Drawing>
  );
}
