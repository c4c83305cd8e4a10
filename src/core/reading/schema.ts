import { mixed } from 'yup';
import { judge, list, oneOf, shape, text, within, boolean } from '@/core/document';
import type { Issue, Result } from '@/core/units';
import { READING_FORMAT, READING_VERSION, type Reading } from './model';

const seconds = () => within({ min: 0, max: 14_400 });

/** Only what publishing needs is judged; figures in `totals` are worked out again from it. */
const readingSchema = shape({
  format: oneOf([READING_FORMAT]),
  version: oneOf([READING_VERSION]),
  totals: mixed().optional(),
  cues: list(
    shape({
      id: text(200),
      text: text(20_000),
      plannedStart: seconds(),
      status: oneOf(['said', 'skipped'] as const),
      actualStart: seconds().nullable(),
      actualEnd: seconds().nullable(),
      confidence: within({ min: 0, max: 1 }),
      corrected: boolean(),
      evidence: shape({
        by: oneOf(['words', 'sound', 'length'] as const),
        heard: text(20_000).nullable(),
        nearer: within({ min: -1000, max: 1000 }).nullable(),
      })
        .nullable()
        .optional(),
    }),
    20_000,
  ),
  adLibs: list(
    shape({ startSeconds: seconds(), endSeconds: seconds(), text: text(20_000).nullable() }).noUnknown(false),
    20_000,
  ),
  // A reading as it is published says more of itself.
}).noUnknown(false);

/** The door for readings: any value in, a reading out, or every problem at its place. */
export function checkReading(raw: unknown): Result<Reading, readonly Issue[]> {
  return judge(raw, readingSchema) as Result<Reading, readonly Issue[]>;
}
