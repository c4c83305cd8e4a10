import type { ListedTake } from '@/api/takes';
import { formatClock, formatDifference } from '@/core/units';

const WIDTH = 220;
const HEIGHT = 30;
/** Seconds of drift that fill half the height at least, so that a calm take looks calm. */
const CALM_SECONDS = 10;

/** A take at a glance: its drift as a line around the plan (late above, early below), how it ended, and words that were added. */
export function TakeGlancePicture({ take: { glance } }: { readonly take: ListedTake }) {
  if (!glance) return <span />;
  const { drift, offSeconds, runtimeSeconds, adLibs, adLibWords } = glance;
  const max = Math.max(CALM_SECONDS * 10, ...drift.map(Math.abs));
  const x = (at: number): number => (drift.length < 2 ? 0 : (at / (drift.length - 1)) * WIDTH);
  const y = (tenths: number): number => HEIGHT / 2 - (tenths / max) * (HEIGHT / 2 - 2);
  const line = drift.map((one, at) => `${at === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${y(one).toFixed(1)}`).join('');
  const ended = `${formatClock(runtimeSeconds)}, ${formatDifference(offSeconds)} vs plan`;
  return (
    <span className="min-w-0 max-md:order-3 max-md:col-span-2">
      <span className="flex items-center gap-3">
        <svg
          role="img"
          aria-label={`Drift through the take; ${ended}`}
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          preserveAspectRatio="none"
          className="h-7 min-w-0 flex-1"
        >
          <path
            d={`M0 ${HEIGHT / 2}H${WIDTH}`}
            stroke="var(--field-line)"
            strokeDasharray="2 3"
            fill="none"
            vectorEffect="non-scaling-stroke"
          />
          <path d={line} stroke="var(--color-accent)" strokeWidth="1.5" fill="none" vectorEffect="non-scaling-stroke" />
        </svg>
        <span className="shrink-0 text-sm">{ended}</span>
      </span>
      {adLibs > 0 && (
        <span className="quiet-ink block truncate text-sm" title={adLibWords.join(' · ')}>
          {adLibs === 1 ? '1 ad-lib' : `${adLibs} ad-libs`}
          {adLibWords.length > 0 && ': '}
          <span className="font-serif">{adLibWords.map((one) => `“${one}”`).join(' ')}</span>
        </span>
      )}
    </span>
  );
}
