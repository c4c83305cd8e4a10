import type { ClassResponse } from '@/api/classes';
import { readPlan, type ClassPlan } from '@/core/plan';
import { startSaving, type Saving } from '@/editing/saving';
import type { DeskStore } from './desk-store';

/** Saves a desk by itself, and tells it how that goes. */
export function startSavingDesk(desk: DeskStore): Saving<ClassPlan> {
  const { classId, plan, revision } = desk.getState();
  const saving = startSaving<ClassPlan>({
    kind: 'class',
    id: classId,
    path: `/api/classes/${classId}`,
    revision,
    stored: plan,
    bodyOf: (now) => ({ plan: now }),
    theirsOf: (current) => {
      const theirs = current as Pick<ClassResponse, 'revision' | 'plan'>;
      return { revision: theirs.revision, document: theirs.plan };
    },
    read: (raw) => {
      const read = readPlan(raw);
      return read.ok ? read.value : null;
    },
    onState: desk.setSave,
  });
  const unsubscribe = desk.subscribe((state, before) => {
    if (state.plan !== before.plan) saving.changed(state.plan);
  });
  return {
    ...saving,
    takeUp: async () => {
      const draft = await saving.takeUp();
      const { revision: base, save } = desk.getState();
      if (draft) desk.replace(draft, base, save);
      return draft;
    },
    settle: async (keep) => {
      const { save } = desk.getState();
      const done = saving.settle(keep);
      if (keep === 'theirs' && save.kind === 'conflict' && save.theirs.document !== null) {
        desk.replace(save.theirs.document, save.theirs.revision, { kind: 'saved' });
      }
      await done;
    },
    stop: () => {
      unsubscribe();
      saving.stop();
    },
  };
}
