import { array, boolean, lazy, mixed, number, object, string, type InferType } from 'yup';
import type { KeptLikeness, KeptWay } from '@/core/align';
import { CUT_REASONS, type CutReason, type Reading } from '@/core/reading';
import { UUID } from './classes';

/** Four hours, a byte for each 20 ms, in base 64. */
const ENVELOPE_CHARACTERS = 970_000;

const seconds = () => number().strict().min(0).max(14_400).required();

const stretch = object({ startSeconds: seconds(), endSeconds: seconds() }).noUnknown().required();
const caption = stretch.shape({ text: string().strict().max(5_000).defined() });

/** Judged by hand: an hour has tens of thousands of numbers. */
function isKeptLikeness(value: unknown): value is KeptLikeness {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 2) return false;
  const { texts, found } = value as Partial<Record<keyof KeptLikeness, unknown>>;
  if (!Array.isArray(texts) || texts.length > 5000 || !Array.isArray(found) || found.length > 1_000_000) return false;
  return (
    texts.every((text) => typeof text === 'string' && text.length <= 20_000) &&
    found.every((one) => Number.isInteger(one) && Math.abs(one as number) < 1e6)
  );
}

/** Judged by hand too. Whether it fits the cues and the speech is seen where it is used. */
function isKeptWay(value: unknown): value is KeptWay {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 3) return false;
  const { slowness, matches, confidences } = value as Partial<Record<keyof KeptWay, unknown>>;
  const whole = (list: unknown, longest: number, most: number): boolean =>
    Array.isArray(list) &&
    list.length <= longest &&
    list.every((one) => Number.isInteger(one) && Math.abs(one as number) <= most);
  const paced = typeof slowness === 'number' && slowness >= 0.1 && slowness <= 10;
  return paced && whole(matches, 120_000, 100_000) && whole(confidences, 20_000, 100);
}

/** What is known of a take, as it is sent and stored. */
const evidenceSchema = object({
  captions: array().of(caption).strict().max(20_000).nullable().defined(),
  speech: array()
    .of(stretch.shape({ likely: number().strict().min(0).max(1) }))
    .strict()
    .max(60_000)
    .nullable()
    .defined(),
  likeness: mixed<KeptLikeness>(isKeptLikeness).nullable(),
  way: mixed<KeptWay>(isKeptWay).nullable(),
  lengthSeconds: number().strict().min(0).max(14_400).nullable().defined(),
})
  .noUnknown()
  .required();

const decibels = () => number().strict().min(-200).max(60);

const recordedFile = object({
  name: string().strict().max(255).required(),
  bytes: number().strict().integer().min(1).max(1e12).required(),
  print: string()
    .strict()
    .matches(/^[0-9a-f]{64}$/)
    .required(),
}).noUnknown();

/** What is known of a recording. */
const recordingSchema = object({
  file: recordedFile.nullable().defined(),
  second: object({
    file: recordedFile.required(),
    offsetSeconds: number().strict().min(-14_400).max(14_400).required(),
    driftPpm: number().strict().min(-1000).max(1000).required(),
    confidence: number().strict().min(0).max(1).required(),
    used: string<'first' | 'second'>().strict().oneOf(['first', 'second']).required(),
  })
    .noUnknown()
    .nullable()
    .optional()
    .default(undefined),
  figures: object({
    integrated: decibels().nullable().defined(),
    shortTermMost: decibels().nullable().defined(),
    truePeak: decibels().nullable().defined(),
    noiseFloor: decibels().nullable().defined(),
    clippedShare: number().strict().min(0).max(1).required(),
    hum: object({ hertz: number<50 | 60>().strict().oneOf([50, 60]).required(), overDecibels: decibels().required() })
      .noUnknown()
      .nullable()
      .defined(),
  })
    .noUnknown()
    .nullable()
    .defined(),
}).noUnknown();

/** The body of `POST /api/classes/:id/takes`. Plan and reading are judged by their own doors. */
export const newTakeSchema = object({
  name: string().strict().trim().min(1).max(200).required(),
  plan: mixed().required(),
  evidence: evidenceSchema,
  recording: recordingSchema.nullable().optional().default(undefined),
  /** The copy of its sound, kept before; see `PUT /api/sounds/:id/:piece`. */
  soundId: string().strict().matches(UUID).nullable(),
  /** Base 64. */
  envelope: string()
    .strict()
    .max(ENVELOPE_CHARACTERS)
    .matches(/^[A-Za-z0-9+/]*={0,2}$/)
    .nullable(),
  reading: mixed().required(),
}).noUnknown();
export type NewTakeRequest = InferType<typeof newTakeSchema>;

/** The body of `PUT /api/takes/:id`: all that was done by hand so far, corrections by cue id. */
export const correctionsSchema = object({
  baseRevision: number().strict().integer().min(1).required(),
  corrections: lazy((value: object | undefined) =>
    object(
      Object.fromEntries(
        Object.keys(value ?? {}).map((key) => [
          key,
          object({
            saidAtSeconds: number().strict().min(0).max(14_400).nullable().defined(),
            lengthSeconds: number().strict().min(0).max(14_400),
          })
            .noUnknown()
            .required(),
        ]),
      ),
    )
      .test('size', 'too many corrections', (all) => Object.keys(all).length <= 20_000)
      .required(),
  ),
  /** Remarks as somebody left them; `null` or left out where they are as they were found. */
  remarks: array()
    .of(stretch.shape({ text: string().strict().max(5_000).nullable().defined() }))
    .strict()
    .max(20_000)
    .nullable(),
  /** What is cut out, in any order; `null` or left out where nobody has cut. */
  cuts: array()
    .of(
      stretch.shape({
        reason: string<CutReason>()
          .strict()
          .oneOf([...CUT_REASONS])
          .required(),
        on: boolean().strict().required(),
      }),
    )
    .strict()
    .max(20_000)
    .nullable(),
}).noUnknown();

export { UUID };

export interface SavedReading {
  readonly revision: number;
  readonly reading: Reading;
}
