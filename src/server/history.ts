import type { HistoryEntry, HistoryPage, RevisionResponse } from '@/api/history';
import { comparePlans, planMilliseconds } from '@/core/plan';
import { toSeconds } from '@/core/units';
import { findRevisions, listRevisions, nameRevision, type RevisionMark } from '@/db/queries/revisions';
import { openClass } from './classes';
import { Refusal } from './refusal';
import type { Asking } from './studio';

/** Saves less than this apart belong to one sitting; a class saves itself with every pause in typing. */
const SITTING_MILLISECONDS = 5 * 60_000;
const SITTINGS_A_PAGE = 25;
/** Saves of one session that are told one by one, the newest. */
const SAVES_TOLD = 200;
/** Saves looked through for one page. */
const SAVES_AT_MOST = 2_000;

/** Saves in sittings, the newest first, each with its first and last save. */
export function sittings(
  marks: readonly RevisionMark[],
): { readonly last: RevisionMark; readonly first: RevisionMark }[] {
  const found: { last: RevisionMark; first: RevisionMark }[] = [];
  for (const one of marks) {
    const sitting = found.at(-1);
    const gap = sitting ? sitting.first.createdAt.getTime() - one.createdAt.getTime() : Infinity;
    if (sitting && gap < SITTING_MILLISECONDS) sitting.first = one;
    else found.push({ last: one, first: one });
  }
  return found;
}

/** The saved states of a class, by sitting, with what each changed. @throws Refusal 404. */
export async function historyOf(who: Asking, classId: string, before: number): Promise<HistoryPage> {
  await openClass(who, classId);
  const marks = await listRevisions(who.db, who.studio.id, classId, before, SAVES_AT_MOST);
  const all = sittings(marks);
  const shown = all.slice(0, SITTINGS_A_PAGE);
  const wanted = new Set(shown.flatMap(({ last, first }) => [last.revision, Math.max(1, first.revision - 1)]));
  const plans = await findRevisions(who.db, who.studio.id, classId, [...wanted]);
  const entries = shown.flatMap(({ last, first }): HistoryEntry[] => {
    const after = plans.get(last.revision);
    if (!after) return [];
    // The very first sitting is told against the class as it was begun.
    const was = plans.get(Math.max(1, first.revision - 1));
    return [
      {
        revision: last.revision,
        firstRevision: first.revision,
        savedAt: last.createdAt.toISOString(),
        runtimeSeconds: toSeconds(planMilliseconds(after.plan)),
        saves: marks
          .filter((one) => one.revision <= last.revision && one.revision >= first.revision)
          .slice(0, SAVES_TOLD)
          .map((one) => ({ revision: one.revision, savedAt: one.createdAt.toISOString(), name: one.name })),
        changes: was ? comparePlans(was.plan, after.plan) : [],
      },
    ];
  });
  const more = all.length > shown.length || marks.length === SAVES_AT_MOST;
  return { entries, olderThan: more ? (shown.at(-1)?.first.revision ?? null) : null };
}

/** One saved state. @throws Refusal 404. */
export async function openRevision(who: Asking, classId: string, revision: number): Promise<RevisionResponse> {
  await openClass(who, classId);
  const found = (await findRevisions(who.db, who.studio.id, classId, [revision])).get(revision);
  if (!found) throw new Refusal(404, 'no-revision');
  return { revision, savedAt: found.createdAt.toISOString(), name: found.name, plan: found.plan };
}

/** Calls a saved version by a name; an empty one takes the name away. @throws Refusal 404. */
export async function callRevision(who: Asking, classId: string, revision: number, name: string): Promise<void> {
  await openClass(who, classId);
  const called = name.trim() === '' ? null : name.trim();
  const done = revision > 0 && (await nameRevision(who.db, who.studio.id, classId, revision, called));
  if (!done) throw new Refusal(404, 'no-revision');
}
