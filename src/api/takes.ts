import { array, lazy, mixed, number, object, string } from 'yup';
import type { Reading } from '@/core/reading';
import { UUID } from './classes';

const seconds = () => number().strict().min(0).max(14_400).required();

const stretch = object({ startSeconds: seconds(), endSeconds: seconds() }).noUnknown().required();
const caption = stretch.shape({ text: string().strict().max(5_000).defined() });

/** What is known of a take, as it is sent and stored. */
const evidenceSchema = object({
  captions: array().of(caption).strict().max(20_000).nullable().defined(),
  speech: array()
    .of(stretch.shape({ likely: number().strict().min(0).max(1) }))
    .strict()
    .max(60_000)
    .nullable()
    .defined(),
  lengthSeconds: number().strict().min(0).max(14_400).nullable().defined(),
})
  .noUnknown()
  .required();

/** The body of `POST /api/classes/:id/takes`. Plan and reading are judged by their own doors. */
export const newTakeSchema = object({
  name: string().strict().trim().min(1).max(200).required(),
  plan: mixed().required(),
  evidence: evidenceSchema,
  reading: mixed().required(),
}).noUnknown();

/** The body of `PUT /api/takes/:id`: every correction made so far, by cue id. */
export const correctionsSchema = object({
  baseRevision: number().strict().integer().min(1).required(),
  corrections: lazy((value: object | undefined) =>
    object(
      Object.fromEntries(
        Object.keys(value ?? {}).map((key) => [
          key,
          object({ saidAtSeconds: number().strict().min(0).max(14_400).nullable().defined() })
            .noUnknown()
            .required(),
        ]),
      ),
    )
      .test('size', 'too many corrections', (all) => Object.keys(all).length <= 20_000)
      .required(),
  ),
}).noUnknown();

export { UUID };

export interface SavedReading {
  readonly revision: number;
  readonly reading: Reading;
}
