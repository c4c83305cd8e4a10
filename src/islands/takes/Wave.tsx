import type { Seconds } from '@/core/units';

const WIDTH = 150;
const HEIGHT = 30;
/** What is drawn of the sound before and after a place. */
const BEFORE: Seconds = 1.2;
const AFTER: Seconds = 3.8;
const BYTES_A_SECOND = 50;

interface Props {
  /** A byte for each 20 ms; see `envelopeOf`. */
  readonly envelope: Uint8Array;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  readonly playSeconds: Seconds | null;
}

/** The sound about a place, with where it begins and ends, and where the recording is played. */
export function Wave({ envelope, startSeconds, endSeconds, playSeconds }: Props) {
  const from = startSeconds - BEFORE;
  const x = (seconds: Seconds): number => ((seconds - from) / (BEFORE + AFTER)) * WIDTH;
  const first = Math.round(from * BYTES_A_SECOND);
  const count = Math.round((BEFORE + AFTER) * BYTES_A_SECOND);
  let path = `M0 ${HEIGHT / 2}`;
  let back = '';
  for (let at = 0; at < count; at += 2) {
    const level = Math.max(envelope[first + at] ?? 0, envelope[first + at + 1] ?? 0) / 255;
    const half = Math.max(0.4, (level ** 2 * HEIGHT) / 2);
    const across = ((at * WIDTH) / count).toFixed(1);
    path += `L${across} ${(HEIGHT / 2 - half).toFixed(1)}`;
    back = `L${across} ${(HEIGHT / 2 + half).toFixed(1)}${back}`;
  }
  const end = Math.min(WIDTH, x(endSeconds));
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden className="block overflow-hidden">
      <rect
        x={x(startSeconds)}
        y={0}
        width={Math.max(1, end - x(startSeconds))}
        height={HEIGHT}
        fill="var(--color-secondary)"
      />
      <path d={`${path}${back}Z`} fill="var(--quiet-ink)" />
      <line x1={x(startSeconds)} x2={x(startSeconds)} y1={0} y2={HEIGHT} stroke="var(--color-accent)" strokeWidth="2" />
      {playSeconds !== null && playSeconds >= from && playSeconds <= from + BEFORE + AFTER && (
        <line x1={x(playSeconds)} x2={x(playSeconds)} y1={0} y2={HEIGHT} stroke="var(--color-base-content)" />
      )}
    </svg>
  );
}
