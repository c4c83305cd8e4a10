import { readMovement, summaryOf, type Movement, type MovementSummary } from '@/core/movement';
import { readPlan, upToDate, type ClassPlan } from '@/core/plan';
import { checkReading, correct, glanceOf, type Reading } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { failed, ok, type Issue, type Result } from '@/core/units';
import type { NewTakeRequest } from '@/api/takes';
import type { HandWorkRow, TakeRow } from '@/db/queries/takes';
import { planRow, type PlanRow } from '@/db/queries/classes';

/*
 * Documents judged, with what is stored beside them worked out. What large documents become is their JSON: it goes to
 * the database as it is, so that the thread that answers requests need not walk through them.
 */

type Issues = readonly Issue[];

/** A plan of any version, as it is stored. */
export function judgePlan(raw: unknown): Result<PlanRow, Issues> {
  const read = readPlan(raw);
  if (!read.ok) return read;
  return ok(planRow(read.value));
}

export interface JudgedMovement {
  readonly movement: Movement;
  readonly summary: MovementSummary;
}

export function judgeMovement(raw: unknown): Result<JudgedMovement, Issues> {
  const read = readMovement(raw);
  return read.ok ? ok({ movement: read.value, summary: summaryOf(read.value) }) : read;
}

/** A new take: its plan and its reading are judged, and the reading's figures are worked out again. */
export function judgeTake(
  request: NewTakeRequest,
): Result<Omit<TakeRow, 'classId'>, { plan: boolean; issues: Issues }> {
  const checked = checkReading(request.reading);
  if (!checked.ok) return failed({ plan: false, issues: checked.problem });
  const read = readPlan(request.plan);
  if (!read.ok) return failed({ plan: true, issues: read.problem });
  const { id, name, evidence, recording, performed, soundId, envelope } = request;
  const reading = correct(checked.value, expandPlan(read.value), {}, evidence.lengthSeconds ?? null);
  return ok({
    ...(id !== undefined && { id }),
    name,
    planText: JSON.stringify(read.value),
    evidenceText: JSON.stringify(evidence),
    recordingText: recording ? JSON.stringify(recording) : null,
    performedText: performed ? JSON.stringify(performed) : null,
    soundId: soundId ?? null,
    envelope: typeof envelope === 'string' ? new Uint8Array(Buffer.from(envelope, 'base64')) : null,
    readingText: JSON.stringify(reading),
    glanceText: JSON.stringify(glanceOf(reading)),
  });
}

/** Work by hand: its parts as JSON. */
export function judgeHandWork(work: {
  readonly corrections: unknown;
  readonly adLibs?: unknown;
  readonly cuts?: unknown;
  readonly reading: unknown;
}): Result<HandWorkRow, Issues> {
  const checked = checkReading(work.reading);
  if (!checked.ok) return checked;
  const orNull = (value: unknown): string | null =>
    value === null || value === undefined ? null : JSON.stringify(value);
  return ok({
    readingText: JSON.stringify(checked.value),
    correctionsText: JSON.stringify(work.corrections),
    adLibsText: orNull(work.adLibs),
    cutsText: orNull(work.cuts),
  });
}

/** A judged reading with its figures worked out anew from the stored plan that it belongs to; JSON in and out. */
export function recount({ readingText, planText, lengthSeconds }: RecountInput): Recounted {
  const plan = upToDate(JSON.parse(planText) as ClassPlan);
  const reading = correct(JSON.parse(readingText) as Reading, expandPlan(plan), {}, lengthSeconds);
  return { readingText: JSON.stringify(reading), glanceText: JSON.stringify(glanceOf(reading)) };
}

export interface Recounted {
  readonly readingText: string;
  readonly glanceText: string;
}

export interface RecountInput {
  readonly readingText: string;
  readonly planText: string;
  readonly lengthSeconds: number | null;
}
