import type { Reading } from '@/core/reading';
import type { Interval, Seconds } from '@/core/units';

/** What is said in a stretch of the recording: lines and ad-libs with words, in order. */
export function wordsIn(reading: Pick<Reading, 'cues' | 'adLibs'>, { startSeconds, endSeconds }: Interval): string {
  const inside = (from: Seconds, to: Seconds): boolean =>
    (from + to) / 2 >= startSeconds && (from + to) / 2 < endSeconds;
  const lines = reading.cues.flatMap(({ text, actualStart, actualEnd: end }) =>
    actualStart !== null && inside(actualStart, end ?? actualStart) ? [{ at: actualStart, text }] : [],
  );
  const adLibs = reading.adLibs.flatMap((one) =>
    one.text && inside(one.startSeconds, one.endSeconds) ? [{ at: one.startSeconds, text: one.text }] : [],
  );
  return [...lines, ...adLibs]
    .sort((a, b) => a.at - b.at)
    .map(({ text }) => text)
    .join(' ');
}
