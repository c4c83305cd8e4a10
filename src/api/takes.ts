import { mixed, string, type InferType } from 'yup';
import type { PackedDistances, PackedWay } from '@/core/align';
import { list, ONE_LINE, oneOf, record, shape, text, title, whole, within, boolean } from '@/core/document';
import { CAPTION_LIMITS } from '@/core/interchange';
import { CUT_REASONS, type TakeGlance } from '@/core/reading';
import { saveBaseFields, uuid } from './saves';

/** Four hours, a byte for each 20 ms, in base 64. */
const ENVELOPE_CHARACTERS = 970_000;
/** What a take may hold of each: lines, captions, ad-libs, cuts. */
export const TAKE_LIMITS = {
  captions: CAPTION_LIMITS.captions,
  captionCharacters: CAPTION_LIMITS.characters,
  stretches: 60_000,
  changes: 20_000,
  steps: 2_000,
  stepCharacters: 400,
} as const;
/** A cue's id is made of ids with signs between them. */
const CUE_ID = /^[\x20-\x7E]{1,200}$/;
const FOUR_HOURS = { min: 0, max: 14_400 };

/** The longest class, and a day that the prompter stands still in it. */
const WITH_PAUSES = { min: 0, max: 100_800 };

const seconds = () => within(FOUR_HOURS);

const stretch = { startSeconds: seconds(), endSeconds: seconds() };

/** Judged by hand: an hour has tens of thousands of numbers. */
function arePackedDistances(value: unknown): value is PackedDistances {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 2) return false;
  const { texts, found } = value as Partial<Record<keyof PackedDistances, unknown>>;
  if (!Array.isArray(texts) || texts.length > 5000 || !Array.isArray(found) || found.length > 1_000_000) return false;
  return (
    texts.every((text) => typeof text === 'string' && text.length <= 20_000) &&
    found.every((one) => Number.isInteger(one) && Math.abs(one as number) < 1e6)
  );
}

/** Judged by hand too. Whether it fits the cues and the speech is seen where it is used. */
function isPackedWay(value: unknown): value is PackedWay {
  if (typeof value !== 'object' || value === null || Object.keys(value).length !== 3) return false;
  const { slowness, matches, confidences } = value as Partial<Record<keyof PackedWay, unknown>>;
  const whole = (list: unknown, longest: number, max: number): boolean =>
    Array.isArray(list) &&
    list.length <= longest &&
    list.every((one) => Number.isInteger(one) && Math.abs(one as number) <= max);
  const paced = typeof slowness === 'number' && slowness >= 0.1 && slowness <= 10;
  return paced && whole(matches, 120_000, 100_000) && whole(confidences, 20_000, 100);
}

/** What is known of a take, as it is sent and stored. */
const evidenceSchema = shape({
  captions: list(shape({ ...stretch, text: text(TAKE_LIMITS.captionCharacters) }), TAKE_LIMITS.captions).nullable(),
  speech: list(shape({ ...stretch, likely: within({ min: 0, max: 1 }).optional() }), TAKE_LIMITS.stretches).nullable(),
  distances: mixed<PackedDistances>(arePackedDistances).nullable().typeError('not-object'),
  way: mixed<PackedWay>(isPackedWay).nullable().typeError('not-object'),
  lengthSeconds: seconds().nullable(),
});

const decibels = () => within({ min: -200, max: 60 });

const recordedFile = shape({
  name: text(255, ONE_LINE).test('empty', 'empty', (value) => value !== ''),
  bytes: whole(1, 1e12),
  print: string()
    .strict()
    .defined('missing')
    .typeError('not-text')
    .matches(/^[0-9a-f]{64}$/, 'bad-id'),
});

/** What is known of a recording. */
const recordingSchema = shape({
  file: recordedFile.nullable(),
  second: shape({
    file: recordedFile,
    offsetSeconds: within({ min: -14_400, max: 14_400 }),
    driftPpm: within({ min: -1000, max: 1000 }),
    confidence: within({ min: 0, max: 1 }),
    used: oneOf(['first', 'second'] as const),
  })
    .nullable()
    .optional(),
  figures: shape({
    integrated: decibels().nullable(),
    shortTermMost: decibels().nullable(),
    truePeak: decibels().nullable(),
    noiseFloor: decibels().nullable(),
    clippedShare: within({ min: 0, max: 1 }),
    hum: shape({ hertz: oneOf([50, 60] as const), overDecibels: decibels() }).nullable(),
  }).nullable(),
});

const stepTime = () => shape({ startSeconds: within(WITH_PAUSES), seconds: within(WITH_PAUSES) });

/** A step as it was planned, changed on the way and performed. */
const stepPerformed = shape({
  step: text(TAKE_LIMITS.stepCharacters, ONE_LINE),
  name: text(TAKE_LIMITS.stepCharacters),
  planned: stepTime(),
  changed: stepTime().nullable(),
  performed: stepTime().nullable(),
  offSeconds: within({ min: -WITH_PAUSES.max, max: WITH_PAUSES.max }).nullable(),
});

/** The body of `POST /api/classes/:id/takes`. Plan and reading are judged by their own doors. */
export const newTakeSchema = shape({
  /** Its id, given by the page: sent again when an answer was lost, it is the same take. */
  id: uuid().optional(),
  name: title(200),
  plan: mixed().defined('missing'),
  evidence: evidenceSchema,
  recording: recordingSchema.nullable().optional(),
  /** Its steps by the prompter's log, where it was read from one. */
  performed: list(stepPerformed, TAKE_LIMITS.steps).nullable().optional(),
  /** The copy of its sound, kept before; see `PUT /api/sounds/:id/:piece`. */
  soundId: uuid().nullable().optional(),
  /** Base 64. */
  envelope: string()
    .strict()
    .typeError('not-text')
    .max(ENVELOPE_CHARACTERS, `too-long:${ENVELOPE_CHARACTERS}`)
    .matches(/^[A-Za-z0-9+/]*={0,2}$/, 'bad-characters')
    .nullable()
    .optional(),
  reading: mixed().defined('missing'),
});
export type NewTakeRequest = InferType<typeof newTakeSchema>;

/**
 * The body of `PUT /api/takes/:id`: all that was done by hand so far, corrections by cue id, and the reading that the
 * page worked out from it. The reading is judged by its own door.
 */
export const correctionsSchema = shape({
  ...saveBaseFields,
  corrections: record(
    shape({ actualStart: seconds().nullable(), lengthSeconds: seconds().optional() }),
    TAKE_LIMITS.changes,
    CUE_ID,
  ),
  /** Ad-libs as somebody left them; `null` or left out where they are as they were found. */
  adLibs: list(shape({ ...stretch, text: text(TAKE_LIMITS.captionCharacters).nullable() }), TAKE_LIMITS.changes)
    .nullable()
    .optional(),
  /** What is cut out, in any order; `null` or left out where nobody has cut. */
  cuts: list(shape({ ...stretch, reason: oneOf(CUT_REASONS), on: boolean() }), TAKE_LIMITS.changes)
    .nullable()
    .optional(),
  reading: mixed().defined('missing'),
});

/** A take in the list of its class. */
export interface ListedTake {
  readonly id: string;
  readonly name: string;
  /** ISO 8601. */
  readonly createdAt: string;
  readonly glance: TakeGlance | null;
}
