import { array, boolean, number, object, string, ValidationError } from 'yup';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { READING_FORMAT, READING_VERSION, type Reading } from './model';

const seconds = () => number().strict().min(0).max(14_400);

/** Only what publishing needs is judged; figures in `totals` are worked out again from it. */
const readingSchema = object({
  format: string().strict().oneOf([READING_FORMAT]).required(),
  version: number().strict().oneOf([READING_VERSION]).required(),
  cues: array()
    .of(
      object({
        id: string().strict().max(200).required(),
        text: string().strict().max(20_000).defined(),
        plannedSeconds: seconds().required(),
        status: string().strict().oneOf(['said', 'skipped']).required(),
        saidAtSeconds: seconds().nullable().defined(),
        endSeconds: seconds().nullable().defined(),
        confidence: number().strict().min(0).max(1).required(),
        corrected: boolean().strict().required(),
        evidence: object({
          by: string().strict().oneOf(['words', 'sound', 'length']).required(),
          heard: string().strict().max(20_000).nullable().defined(),
          nearer: number().strict().min(-1000).max(1000).nullable().defined(),
        })
          .nullable()
          .default(undefined),
      }),
    )
    .max(20_000)
    .required(),
  remarks: array()
    .of(
      object({
        startSeconds: seconds().required(),
        endSeconds: seconds().required(),
        text: string().strict().nullable().defined(),
      }),
    )
    .max(20_000)
    .required(),
});

/** The door for readings: any value in, a reading out, or every problem at its place. */
export function checkReading(raw: unknown): Result<Reading, readonly Issue[]> {
  try {
    readingSchema.validateSync(raw, { strict: true, abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    return failed(inner.slice(0, 50).map((one) => ({ code: 'bad-reading', at: one.path ?? '', facts: {} })));
  }
  return ok(raw as Reading);
}
