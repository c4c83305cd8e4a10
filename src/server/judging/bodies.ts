import type { AnySchema, InferType } from 'yup';
import { listingSchema, newClassSchema, saveClassSchema, type NewClassRequest } from '@/api/classes';
import { nameRevisionSchema } from '@/api/history';
import { commandSchema, liveEventsSchema, startLiveSchema } from '@/api/live';
import { studioSchema } from '@/api/studio';
import { archiveMovementSchema, newMovementSchema, saveMovementSchema } from '@/api/movements';
import { newSeriesSchema, saveSeriesSchema } from '@/api/series';
import { correctionsSchema, newTakeSchema } from '@/api/takes';
import { spellingSchema } from '@/api/terms';
import { newVoiceSchema } from '@/api/voice';
import { judge, tooBig } from '@/core/document';
import { LIMITS } from '@/core/plan';
import { failed, ok, type Issue, type Result } from '@/core/units';
import type { PlanRow } from '@/db/queries/classes';
import type { HandWorkRow, TakeRow } from '@/db/queries/takes';
import type { SaveBase } from '@/db/queries/save-base';
import type { RefusalCode } from '@/messages/refusals';
import { judgeHandWork, judgeMovement, judgePlan, judgeTake, type JudgedMovement } from './documents';

/** Why a body was refused. */
export interface BodyProblem {
  readonly status: 400 | 413 | 422;
  readonly code: RefusalCode;
  readonly issues?: readonly Issue[];
}
type Judged<Value> = Result<Value, BodyProblem>;

/** What each kind of body is once it was judged. */
export interface Bodies {
  'new-class': Omit<NewClassRequest, 'plan'> & { readonly plan?: PlanRow };
  'save-class': SaveBase & { readonly plan: PlanRow };
  'class-listing': InferType<typeof listingSchema>;
  'name-revision': InferType<typeof nameRevisionSchema>;
  studio: InferType<typeof studioSchema>;
  'new-movement': JudgedMovement;
  'save-movement': SaveBase & { readonly movement: JudgedMovement };
  'archive-movement': InferType<typeof archiveMovementSchema>;
  'new-series': InferType<typeof newSeriesSchema>;
  'save-series': InferType<typeof saveSeriesSchema>;
  'new-take': Omit<TakeRow, 'classId'>;
  'correct-take': SaveBase & { readonly work: HandWorkRow };
  spelling: InferType<typeof spellingSchema>;
  voice: InferType<typeof newVoiceSchema>;
  'start-live': InferType<typeof startLiveSchema>;
  'live-events': InferType<typeof liveEventsSchema>;
  'live-command': InferType<typeof commandSchema>;
}
export type BodyKind = keyof Bodies;

const KILOBYTE = 1024;
const MEGABYTE = 1024 * KILOBYTE;
const ORDINARY = 256 * KILOBYTE;
/** An hour's class is some 60 KB and 4 000 values; an hour's take with what was heard in it 3 MB. */
const PLAN = { bytes: LIMITS.documentBytes + 4 * KILOBYTE, values: 200_000 };
const TAKE = { bytes: 16 * MEGABYTE, values: 2_000_000 };
/** An hour as it is shown is some 150 KB. */
const LIVE = { bytes: 4 * MEGABYTE, values: 400_000 };
const WORK = { bytes: 12 * MEGABYTE, values: 500_000 };

/** How large a body of each kind may be, in bytes and in values; a body larger than that is not looked at. */
export const BODY_LIMITS: Readonly<Record<BodyKind, { readonly bytes: number; readonly values: number }>> = {
  'new-class': PLAN,
  'save-class': PLAN,
  'class-listing': { bytes: 16 * KILOBYTE, values: 500 },
  'name-revision': { bytes: 4 * KILOBYTE, values: 20 },
  studio: { bytes: 4 * KILOBYTE, values: 20 },
  'new-movement': { bytes: 2 * ORDINARY + 4 * KILOBYTE, values: 20_000 },
  'save-movement': { bytes: 2 * ORDINARY + 4 * KILOBYTE, values: 20_000 },
  'archive-movement': { bytes: KILOBYTE, values: 20 },
  'new-series': { bytes: 4 * KILOBYTE, values: 20 },
  'save-series': { bytes: 64 * KILOBYTE, values: 1_000 },
  'new-take': TAKE,
  'correct-take': WORK,
  spelling: { bytes: ORDINARY, values: 10_000 },
  voice: { bytes: KILOBYTE, values: 20 },
  'start-live': LIVE,
  'live-events': LIVE,
  'live-command': { bytes: KILOBYTE, values: 20 },
};

function shaped<Schema extends AnySchema>(raw: unknown, schema: Schema): Judged<InferType<Schema>> {
  const judged = judge(raw, schema);
  return judged.ok ? ok(judged.value) : failed({ status: 422, code: 'bad-request', issues: judged.problem });
}

const bad = (code: RefusalCode, issues: readonly Issue[]): Judged<never> => failed({ status: 422, code, issues });

function newClass(raw: unknown): Judged<Bodies['new-class']> {
  const shape = shaped(raw, newClassSchema);
  if (!shape.ok) return shape;
  const { plan, ...request } = shape.value;
  if (request.from !== 'plan') return ok(request);
  const titled = typeof plan === 'object' && plan !== null && request.title !== undefined;
  const judged = judgePlan(titled ? { ...plan, title: request.title } : plan);
  return judged.ok ? ok({ ...request, plan: judged.value }) : bad('bad-plan', judged.problem);
}

function saveClass(raw: unknown): Judged<Bodies['save-class']> {
  const shape = shaped(raw, saveClassSchema);
  if (!shape.ok) return shape;
  const plan = judgePlan(shape.value.plan);
  return plan.ok ? ok({ ...shape.value, plan: plan.value }) : bad('bad-plan', plan.problem);
}

function newMovement(raw: unknown): Judged<JudgedMovement> {
  const shape = shaped(raw, newMovementSchema);
  if (!shape.ok) return shape;
  const movement = judgeMovement(shape.value.movement);
  return movement.ok ? movement : bad('bad-movement', movement.problem);
}

function saveMovement(raw: unknown): Judged<Bodies['save-movement']> {
  const shape = shaped(raw, saveMovementSchema);
  if (!shape.ok) return shape;
  const movement = judgeMovement(shape.value.movement);
  return movement.ok ? ok({ ...shape.value, movement: movement.value }) : bad('bad-movement', movement.problem);
}

function newTake(raw: unknown): Judged<Bodies['new-take']> {
  const shape = shaped(raw, newTakeSchema);
  if (!shape.ok) return shape;
  const take = judgeTake(shape.value);
  return take.ok ? take : bad(take.problem.plan ? 'bad-plan' : 'bad-reading', take.problem.issues);
}

function correctTake(raw: unknown): Judged<Bodies['correct-take']> {
  const shape = shaped(raw, correctionsSchema);
  if (!shape.ok) return shape;
  const { baseRevision, saveId, unanswered } = shape.value;
  const work = judgeHandWork(shape.value);
  return work.ok ? ok({ baseRevision, saveId, unanswered, work: work.value }) : bad('bad-reading', work.problem);
}

const JUDGES: { readonly [Kind in BodyKind]: (raw: unknown) => Judged<Bodies[Kind]> } = {
  'new-class': newClass,
  'save-class': saveClass,
  'class-listing': (raw) => shaped(raw, listingSchema),
  'name-revision': (raw) => shaped(raw, nameRevisionSchema),
  studio: (raw) => shaped(raw, studioSchema),
  'new-movement': newMovement,
  'save-movement': saveMovement,
  'archive-movement': (raw) => shaped(raw, archiveMovementSchema),
  'new-series': (raw) => shaped(raw, newSeriesSchema),
  'save-series': (raw) => shaped(raw, saveSeriesSchema),
  'new-take': newTake,
  'correct-take': correctTake,
  spelling: (raw) => shaped(raw, spellingSchema),
  voice: (raw) => shaped(raw, newVoiceSchema),
  'start-live': (raw) => shaped(raw, startLiveSchema),
  'live-events': (raw) => shaped(raw, liveEventsSchema),
  'live-command': (raw) => shaped(raw, commandSchema),
};

/** Judges the bytes of a body: JSON first, then how large it is, then its shape, then what its documents say. */
export function judgeBody<Kind extends BodyKind>(kind: Kind, bytes: Uint8Array): Judged<Bodies[Kind]> {
  const { bytes: max, values } = BODY_LIMITS[kind];
  if (bytes.byteLength > max) return failed({ status: 413, code: 'too-large' });
  let raw: unknown;
  try {
    raw = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch {
    return failed({ status: 400, code: 'not-json' });
  }
  const crowded = tooBig(raw, values);
  return crowded ? failed({ status: 422, code: 'bad-request', issues: [crowded] }) : JUDGES[kind](raw);
}
