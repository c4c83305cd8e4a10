import { UUID, type NewTakeRequest, type SavedReading } from '@/api/takes';
import { correctable } from '@/core/align';
import { checkReading, correct, readAgain, type HandWork } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { allTerms } from '@/core/words';
import {
  findEnvelope,
  findTake,
  insertTake,
  listTakes,
  removeTake,
  updateReading,
  type StoredTake,
  type TakeSummary,
} from '@/db/queries/takes';
import { judged, openClass } from './classes';
import { Refusal } from './refusal';
import type { Asking } from './studio';
import { spelling } from './terms';

/** The takes of a class, newest first. @throws Refusal 404. */
export async function takesOf(who: Asking, classId: string): Promise<TakeSummary[]> {
  await openClass(who, classId);
  return listTakes(who.db, who.studio.id, classId);
}

/** One take with its reading. @throws Refusal 404. */
export async function openTake({ db, studio }: Asking, id: string): Promise<StoredTake> {
  const found = UUID.test(id) ? await findTake(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-take');
  return found;
}

/** The level of a take for drawing, a byte for each 20 ms: 0 is -80 dBFS and less, 255 full scale. @throws Refusal 404. */
export async function envelopeOf({ db, studio }: Asking, id: string): Promise<Uint8Array> {
  const found = UUID.test(id) ? await findEnvelope(db, studio.id, id) : null;
  if (!found) throw new Refusal(404, 'no-envelope');
  return found;
}

/** Keeps a take that was read in the browser. @throws Refusal 404, or 422 when plan or reading are not in order. */
export async function addTake(
  who: Asking,
  classId: string,
  { name, plan, evidence, recording, soundId, envelope, reading }: NewTakeRequest,
): Promise<{ id: string }> {
  await openClass(who, classId);
  const checked = checkReading(reading);
  if (!checked.ok) throw new Refusal(422, 'bad-reading', checked.problem);
  const { plan: judgedPlan } = judged(plan);
  const counted = correct(checked.value, expandPlan(judgedPlan), {}, evidence.lengthSeconds);
  const taken = {
    classId,
    name,
    plan: judgedPlan,
    evidence,
    recording,
    soundId,
    envelope: typeof envelope === 'string' ? new Uint8Array(Buffer.from(envelope, 'base64')) : null,
    reading: counted,
  };
  return { id: await insertTake(who.db, who.studio.id, taken) };
}

/** Replaces what was done to a take by hand and reads it again about it. @throws Refusal 409 when another save came first. */
export async function correctTake(
  who: Asking,
  id: string,
  baseRevision: number,
  work: HandWork,
): Promise<SavedReading> {
  const take = await openTake(who, id);
  const terms = allTerms((await spelling(who)).own);
  const timeline = expandPlan(take.plan);
  const reading = readAgain(timeline, take.evidence, correctable(timeline, take.evidence, { terms }), work);
  const revision = await updateReading(who.db, who.studio.id, id, baseRevision, { reading, ...work });
  if (revision === null) throw new Refusal(409, 'newer-revision', undefined, { current: { revision: take.revision } });
  return { revision, reading };
}

/** @throws Refusal 404. */
export async function dropTake({ db, studio }: Asking, id: string): Promise<void> {
  if (!UUID.test(id) || !(await removeTake(db, studio.id, id))) throw new Refusal(404, 'no-take');
}
