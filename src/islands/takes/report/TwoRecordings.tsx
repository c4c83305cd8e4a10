import type { SecondRecording } from '@/core/reading';
import { formatExactClock } from '@/core/units';

/** How a second recording lies against the first, and which of them was read. */
export function TwoRecordings({ second }: { readonly second: SecondRecording }) {
  const { file, offsetSeconds, driftPpm, confidence, used } = second;
  const hourly = Math.abs(driftPpm) * 0.0036;
  return (
    <section aria-label="Two recordings" className="mb-6">
      <h2 className="font-semibold">Two recordings</h2>
      <p className="text-sm">
        {file.name} begins {formatExactClock(Math.abs(offsetSeconds))} {offsetSeconds < 0 ? 'before' : 'into'} the first
        recording; their clocks part by {Math.abs(driftPpm).toFixed(0)} millionths, {hourly.toFixed(2)} s an hour.{' '}
        {Math.round(confidence * 100)} % of the places compared agree.
      </p>
      <p className="text-sm">
        {used === 'second'
          ? 'Speech stands out more clearly in it: it was analysed instead of the first.'
          : 'Speech stands out more clearly in the first: that was analysed.'}
      </p>
    </section>
  );
}
