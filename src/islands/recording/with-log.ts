import type { Seconds } from '@/core/units';
import { savedRuns, type SavedRun } from '../prompter/saved-runs';
import type { RecordingMeta } from './store';

/** A class may be begun so long before it is recorded, or after, in milliseconds. */
const APART = 4 * 3_600_000;

/** The run that was performed while something was recorded, and when it began on the recording's clock. */
export function runOf(
  { classId, startedAt }: Pick<RecordingMeta, 'classId' | 'startedAt'>,
  runs: readonly SavedRun[] = savedRuns(classId),
): { readonly run: SavedRun; readonly startSeconds: Seconds } | null {
  const apart = (run: SavedRun): number => Math.abs(run.startedAt - startedAt);
  const [nearest] = [...runs].sort((a, b) => apart(a) - apart(b));
  if (!nearest || apart(nearest) > APART) return null;
  return { run: nearest, startSeconds: (nearest.startedAt - startedAt) / 1000 };
}
