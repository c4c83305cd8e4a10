import { createStore } from 'zustand/vanilla';
import type { ClassResponse } from '@/api/classes';
import { reachOf, type NotFitted, type Reach } from '@/core/pacing';
import { applyFitted } from '@/core/script';
import { applyEdit, comparePlans, stepsInOrder, type ClassPlan, type Edit, type PlanChange } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import { createSession, type Applied, type DocumentSession, type SessionState } from '@/editing/session';

/** How keeping on target stands: off or landed, calculating, not worked out by a fault of ours, or not possible with what was just set. */
export type Landing =
  { readonly kind: 'still' | 'working' | 'failed' } | { readonly kind: 'cannot'; readonly why: NotFitted };

/** What the desk shows: the plan of its session with what follows from it, and what is chosen. */
export interface DeskState extends Pick<SessionState<ClassPlan, Edit>, 'revision' | 'save' | 'done' | 'undone'> {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reach: Reach;
  readonly selectedId: string | null;
  /** Steps chosen together with the selected one, in the order of the class; empty while one alone is chosen. */
  readonly group: readonly string[];
  readonly landing: Landing;
  /** Whether the fields of what is chosen lie over the timeline, on screens that have no room beside it. */
  readonly fieldsOpen: boolean;
  /** What undo, redo or the fit that follows an edit did last, in the words of history; for a line on the screen. */
  readonly told: Told | null;
}

/** What happened to the plan by other hands than a field. */
export interface Told {
  readonly how: 'undone' | 'redone' | 'kept-on-target';
  readonly changes: readonly PlanChange[];
  /** Grows with each, so that the same words twice are told twice. */
  readonly turn: number;
}

export interface DeskStore {
  readonly getState: () => DeskState;
  readonly getInitialState: () => DeskState;
  readonly subscribe: (listener: (state: DeskState, before: DeskState) => void) => () => void;
  readonly edit: (edit: Edit, key?: string) => boolean;
  /** An edit that belongs to the last one made and is undone with it: the fit that follows it. */
  readonly follow: (edit: Edit) => boolean;
  /** Tells of every edit that a person makes; gives back how to stop it. */
  readonly onEdit: (listener: (edit: Edit) => void) => () => void;
  readonly setLanding: (landing: Landing) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly select: (stepId: string | null) => void;
  readonly showFields: (open: boolean) => void;
  readonly forgetTold: () => void;
  /** Chooses every step from the selected one to this, or puts this one in or out of what is chosen. */
  readonly selectMore: (stepId: string, how: 'up-to' | 'this-too') => void;
  /** Saves it, from when it begins. */
  readonly session: Pick<DocumentSession<ClassPlan, Edit>, 'begin' | 'flush' | 'settle' | 'stop'>;
}

function derived(plan: ClassPlan): Pick<DeskState, 'plan' | 'timeline' | 'reach'> {
  return { plan, timeline: expandPlan(plan), reach: reachOf(plan) };
}

function applied(result: ReturnType<typeof applyEdit>): Applied<ClassPlan, Edit> | null {
  return result.ok ? { document: result.value.plan, inverse: result.value.inverse } : null;
}

/** A class that is edited; it fits the words of what is changed where the class asks for it. */
function classSession(classId: string, plan: ClassPlan, revision: number): DocumentSession<ClassPlan, Edit> {
  return createSession<ClassPlan, Edit>({
    kind: 'class',
    id: classId,
    path: `/api/classes/${classId}`,
    revision,
    stored: plan,
    apply: (now, edit) => applied(applyFitted(now, edit)),
    retrace: (now, edit) => applied(applyEdit(now, edit)),
    together: (edits) => ({ kind: 'together', edits }),
    bodyOf: (now) => ({ plan: now }),
    theirsOf: (current) => {
      const theirs = current as Pick<ClassResponse, 'revision' | 'plan'>;
      return { revision: theirs.revision, document: theirs.plan };
    },
    read: async (raw) => {
      // What judges a whole document is needed for a draft alone, and few pages find one.
      const { readPlan } = await import('@/core/plan');
      const read = readPlan(raw);
      return read.ok ? read.value : null;
    },
  });
}

/** The state of one class desk. Every edit replans at once and is kept to be undone. */
export function createDesk(classId: string, plan: ClassPlan, revision: number): DeskStore {
  const session = classSession(classId, plan, revision);
  const { save, done, undone } = session.getState();
  const store = createStore<DeskState>(() => ({
    classId,
    ...derived(plan),
    revision,
    save,
    done,
    undone,
    selectedId: null,
    group: [],
    landing: { kind: 'still' },
    fieldsOpen: false,
    told: null,
  }));
  session.subscribe((now, before) => {
    const kept = { revision: now.revision, save: now.save, done: now.done, undone: now.undone };
    store.setState(now.document === before.document ? kept : { ...derived(now.document), ...kept });
  });
  const listeners = new Set<(edit: Edit) => void>();
  const tell = (how: Told['how'], before: ClassPlan): void => {
    const { plan: after, told } = store.getState();
    store.setState({ told: { how, changes: comparePlans(before, after), turn: (told?.turn ?? 0) + 1 } });
  };
  const shift = (how: 'undone' | 'redone'): void => {
    const before = store.getState().plan;
    if (!(how === 'undone' ? session.undo() : session.redo())) return;
    // What was said of an edit that is taken back is no longer true.
    store.setState({ landing: { kind: 'still' } });
    tell(how, before);
  };
  return {
    getState: store.getState,
    getInitialState: store.getInitialState,
    subscribe: store.subscribe,
    session: {
      begin: session.begin,
      flush: session.flush,
      stop: session.stop,
      settle: async (keep) => {
        const settled = session.settle(keep);
        if (keep === 'theirs') store.setState({ landing: { kind: 'still' } });
        await settled;
      },
    },
    edit: (edit, key) => {
      if (!session.edit(edit, key)) return false;
      store.setState({ told: null });
      for (const listener of listeners) listener(edit);
      return true;
    },
    follow: (edit) => {
      const before = store.getState().plan;
      if (!session.follow(edit)) return false;
      tell('kept-on-target', before);
      return true;
    },
    onEdit: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    setLanding: (landing) => store.setState({ landing }),
    undo: () => shift('undone'),
    redo: () => shift('redone'),
    select: (selectedId) => store.setState({ selectedId, group: [] }),
    showFields: (fieldsOpen) => store.setState({ fieldsOpen }),
    forgetTold: () => store.setState({ told: null }),
    selectMore: (stepId, how) => {
      const { plan: now, selectedId, group } = store.getState();
      const order = stepsInOrder(now).map(({ step }) => step.id);
      if (selectedId === null) return store.setState({ selectedId: stepId, group: [] });
      const chosen = new Set(group.length > 0 ? group : [selectedId]);
      if (how === 'up-to') {
        const ends = [order.indexOf(selectedId), order.indexOf(stepId)];
        for (const id of order.slice(Math.min(...ends), Math.max(...ends) + 1)) chosen.add(id);
      } else if (!chosen.delete(stepId)) chosen.add(stepId);
      const next = order.filter((id) => chosen.has(id));
      const selected = next.includes(selectedId) ? selectedId : (next[0] ?? null);
      return store.setState({ selectedId: selected, group: next.length > 1 ? next : [] });
    },
  };
}
