import { send } from '@/api/client';
import { UNANSWERED_AT_MOST, type Saved } from '@/api/saved';
import { leftDrafts, type DraftKind } from './drafts';

/** What became of a draft that was left: saved, or still kept in this browser because it could not be. */
export interface LeftEdit {
  readonly id: string;
  readonly document: unknown;
  readonly saved: boolean;
}

/** A page that was asked for before a save was stored is drawn within this. */
const DRAWN_WITHIN_MILLISECONDS = 60_000;

/**
 * Saves what pages that are gone left behind, so that a list need not be opened item by item to be true. A draft that
 * is not taken (the server is away, another place saved meanwhile, it is not in order) stays as it is, for the page of
 * its document to offer. One that is stored stays for a while too: a page that is opened at this moment may have been
 * drawn before.
 */
export async function saveLeftDrafts(
  kind: DraftKind,
  pathOf: (id: string) => string,
  bodyOf: (document: unknown) => object,
): Promise<LeftEdit[]> {
  const edits: LeftEdit[] = [];
  for (const { id, draft, keep, drop } of await leftDrafts(kind)) {
    const { baseRevision, unanswered, document, savedAs } = draft;
    if (savedAs !== undefined) {
      if (Date.now() - draft.at > DRAWN_WITHIN_MILLISECONDS) await drop();
      continue;
    }
    const saveId = crypto.randomUUID();
    keep({ ...draft, unanswered: [...unanswered, saveId].slice(-UNANSWERED_AT_MOST) });
    const answer = await send<Saved>('PUT', pathOf(id), { baseRevision, saveId, unanswered, ...bodyOf(document) });
    const gone = !answer.ok && answer.status === 404;
    if (answer.ok) keep({ ...draft, savedAs: answer.value.revision, at: Math.max(Date.now(), draft.at + 1) });
    if (!gone) edits.push({ id, document, saved: answer.ok });
  }
  return edits;
}
