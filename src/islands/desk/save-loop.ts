import type { ConflictResponse } from '@/api/classes';
import { send } from '@/api/client';
import { sameDocument } from '@/core/document';
import type { DeskStore } from './desk-store';
import { dropDraft, findDraft, keepDraft } from './drafts';

/** A pause in typing after which a save is sent, and how long to wait when nobody answered. */
const SAVE_AFTER_MILLISECONDS = 600;
const TRY_AGAIN_MILLISECONDS = 2_500;

export interface SaveLoop {
  /** Sends what is waiting at once; whether everything is on the server. */
  readonly flush: () => Promise<boolean>;
  readonly stop: () => void;
}

/**
 * Saves a desk by itself: each change goes to the browser's own store at once and to the server after a pause, one
 * save at a time. When the server is away it tries again until it is back; when another place has saved meanwhile
 * the desk is told and nothing is overwritten.
 */
export function startSaving(desk: DeskStore): SaveLoop {
  const { classId } = desk.getState();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> | null = null;

  const later = (milliseconds: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void run(), milliseconds);
  };

  const run = (): Promise<void> => {
    running ??= save().finally(() => {
      running = null;
    });
    return running;
  };

  const save = async (): Promise<void> => {
    const { plan, revision, save: state } = desk.getState();
    if (state.kind === 'saved' || state.kind === 'conflict') return;
    desk.setSave({ kind: 'saving' });
    const answer = await send<{ revision: number }>('PUT', `/api/classes/${classId}`, { baseRevision: revision, plan });
    const changed = desk.getState().plan !== plan;
    if (answer.ok) {
      desk.setSave({ kind: changed ? 'waiting' : 'saved' }, answer.value.revision);
      if (changed) {
        await keepDraft(classId, { baseRevision: answer.value.revision, plan: desk.getState().plan });
        later(SAVE_AFTER_MILLISECONDS);
      } else await dropDraft(classId);
    } else if (answer.status === 409) {
      const theirs = (answer.problem as unknown as ConflictResponse).current;
      if (sameDocument(theirs.plan, plan) && !changed) {
        // Our own save had arrived and only its answer was lost.
        desk.setSave({ kind: 'saved' }, theirs.revision);
        await dropDraft(classId);
      } else desk.setSave({ kind: 'conflict', theirs });
    } else if (answer.away) {
      desk.setSave({ kind: 'away' });
      later(TRY_AGAIN_MILLISECONDS);
    } else {
      const issues = answer.problem.issues ?? [];
      desk.setSave({
        kind: 'refused',
        issues: issues.length > 0 ? issues : [{ code: answer.problem.code, at: '', facts: {} }],
      });
    }
  };

  const unsubscribe = desk.subscribe((state, before) => {
    if (state.plan === before.plan || state.save.kind === 'saved') return;
    void keepDraft(classId, { baseRevision: state.revision, plan: state.plan });
    if (state.save.kind !== 'conflict') later(SAVE_AFTER_MILLISECONDS);
  });
  const online = (): void => later(0);
  window.addEventListener('online', online);

  return {
    flush: async () => {
      clearTimeout(timer);
      await running;
      if (desk.getState().save.kind !== 'saved') await run();
      return desk.getState().save.kind === 'saved';
    },
    stop: () => {
      clearTimeout(timer);
      unsubscribe();
      window.removeEventListener('online', online);
    },
  };
}

/** Goes on with a draft that never reached the server, if there is one. */
export async function takeUpDraft(desk: DeskStore): Promise<void> {
  const { classId, revision } = desk.getState();
  const draft = await findDraft(classId);
  if (!draft) return;
  // A stale base is found out by the save itself, which then offers the choice.
  desk.replace(draft.plan, Math.min(draft.baseRevision, revision), { kind: 'waiting' });
}
