import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { Drawing } from '@/ui/parts/Drawing';
import { roundTicks } from './round-ticks';
import { AXIS, GRID, TOOLTIP } from './chart-looks';

interface Pair {
  readonly name: string;
  readonly planned: number;
  readonly taken: number | null;
}

interface Props {
  readonly title: string;
  readonly words: string;
  readonly first: string;
  readonly pairs: readonly Pair[];
  readonly format: (value: number) => string;
}

/** Planned and taken side by side, a pair of bars for each; down the page, so that names have room. */
export function PairChart({ title, words, first, pairs, format }: Props) {
  const max = Math.max(1, ...pairs.flatMap(({ planned, taken }) => [planned, taken ?? 0]));
  return (
    <Drawing
      title={title}
      words={words}
      heads={[first, 'Planned', 'Actual']}
      rows={pairs.map(({ name, planned, taken }) => [
        name,
        format(planned),
        taken === null ? 'too few heard' : format(taken),
      ])}
    >
      <ResponsiveContainer width="100%" height={52 + 40 * pairs.length}>
        <BarChart
          data={[...pairs]}
          layout="vertical"
          margin={{ top: 4, right: 12, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid {...GRID} horizontal={false} />
          <XAxis type="number" {...roundTicks(0, max, 5, false)} tickFormatter={format} {...AXIS} />
          <YAxis type="category" dataKey="name" width={150} {...AXIS} />
          <Tooltip formatter={(value) => format(Number(value))} contentStyle={TOOLTIP} cursor={false} />
          <Legend verticalAlign="top" align="left" height={26} />
          <Bar dataKey="planned" name="planned" fill="var(--quiet-ink)" barSize={10} isAnimationActive={false} />
          <Bar dataKey="taken" name="actual" fill="var(--color-accent)" barSize={10} isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </Drawing>
  );
}
