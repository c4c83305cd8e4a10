import type { Learning } from '@/api/learning';
import { knownTake, predictedSeconds, predictionsOf, proposalsOf, usualOf } from '@/core/learn';
import { findTakenClasses } from '@/db/queries/takes';
import { openClass } from './classes';
import type { Asking } from './studio';

/** What the latest takes of a class teach about it as it stands now. @throws Refusal 404. */
export async function learningOf(who: Asking, classId: string): Promise<Learning> {
  const { revision, plan } = await openClass(who, classId);
  const takes = await findTakenClasses(who.db, who.studio.id, classId);
  const listed = takes.map(({ id, name }) => ({ id, name }));
  const [first] = takes;
  if (!first) return { revision, takes: listed, predictions: [], nextSeconds: null, proposals: [] };
  const known = takes.map(knownTake);
  const usual = usualOf(known);
  return {
    revision,
    takes: listed,
    predictions: predictionsOf(known),
    nextSeconds: predictedSeconds(plan, usual),
    proposals: proposalsOf(plan, usual, first.plan.targetSeconds),
  };
}
