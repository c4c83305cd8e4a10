import { createStore } from 'zustand/vanilla';
import { reachOf, type NotFitted, type Reach } from '@/core/pacing';
import { applyFitted } from '@/core/script';
import { applyEdit, comparePlans, stepsInOrder, type ClassPlan, type Edit, type PlanChange } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import type { SaveState } from '@/editing/saving';

/** How keeping on target stands: off or landed, calculating, not worked out by a fault of ours, or not possible with what was just set. */
export type Landing =
  { readonly kind: 'still' | 'working' | 'failed' } | { readonly kind: 'cannot'; readonly why: NotFitted };

interface Undoable {
  readonly inverse: Edit;
  /** Edits with the same key made in a row are undone as one: letters typed into one field. */
  readonly key: string | null;
}

export interface DeskState {
  readonly classId: string;
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly reach: Reach;
  /** The stored revision that the plan here builds on. */
  readonly revision: number;
  readonly save: SaveState<ClassPlan>;
  readonly undone: readonly Undoable[];
  readonly done: readonly Undoable[];
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
  /** Replaces the whole plan and what it builds on: a draft found, or the other version taken. */
  readonly replace: (plan: ClassPlan, revision: number, save: SaveState<ClassPlan>) => void;
  readonly setSave: (save: SaveState<ClassPlan>, revision?: number) => void;
}

function derived(plan: ClassPlan): Pick<DeskState, 'plan' | 'timeline' | 'reach'> {
  return { plan, timeline: expandPlan(plan), reach: reachOf(plan) };
}

/** The state of one class desk. Every edit replans at once and is kept to be undone. */
export function createDesk(classId: string, plan: ClassPlan, revision: number): DeskStore {
  const store = createStore<DeskState>(() => ({
    classId,
    ...derived(plan),
    revision,
    save: { kind: 'saved' },
    done: [],
    undone: [],
    selectedId: null,
    group: [],
    landing: { kind: 'still' },
    fieldsOpen: false,
    told: null,
  }));
  const listeners = new Set<(edit: Edit) => void>();
  const waiting = (save: SaveState<ClassPlan>): SaveState<ClassPlan> =>
    save.kind === 'conflict' ? save : { kind: 'waiting' };
  const shift = (from: 'done' | 'undone', to: 'done' | 'undone'): void => {
    const state = store.getState();
    const last = state[from].at(-1);
    if (!last) return;
    const applied = applyEdit(state.plan, last.inverse);
    if (!applied.ok) return;
    store.setState({
      ...derived(applied.value.plan),
      [from]: state[from].slice(0, -1),
      [to]: [...state[to], { inverse: applied.value.inverse, key: null }],
      save: waiting(state.save),
      // What was said of an edit that is taken back is no longer true.
      landing: { kind: 'still' },
      told: tell(from === 'done' ? 'undone' : 'redone', state, applied.value.plan),
    });
  };
  const tell = (how: Told['how'], state: DeskState, next: ClassPlan): Told => ({
    how,
    changes: comparePlans(state.plan, next),
    turn: (state.told?.turn ?? 0) + 1,
  });
  return {
    getState: store.getState,
    getInitialState: store.getInitialState,
    subscribe: store.subscribe,
    edit: (edit, key) => {
      const state = store.getState();
      const applied = applyFitted(state.plan, edit);
      if (!applied.ok) return false;
      const last = state.done.at(-1);
      const joins = key !== undefined && last?.key === key && state.undone.length === 0;
      const inverse = joins ? last.inverse : applied.value.inverse;
      const kept = joins ? state.done.slice(0, -1) : state.done;
      store.setState({
        ...derived(applied.value.plan),
        done: [...kept, { inverse, key: key ?? null }],
        undone: [],
        save: waiting(state.save),
        told: null,
      });
      for (const listener of listeners) listener(edit);
      return true;
    },
    follow: (edit) => {
      const state = store.getState();
      const applied = applyEdit(state.plan, edit);
      const last = state.done.at(-1);
      if (!applied.ok || !last) return false;
      const inverse: Edit = { kind: 'together', edits: [applied.value.inverse, last.inverse] };
      store.setState({
        ...derived(applied.value.plan),
        done: [...state.done.slice(0, -1), { ...last, inverse }],
        save: waiting(state.save),
        told: tell('kept-on-target', state, applied.value.plan),
      });
      return true;
    },
    onEdit: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    setLanding: (landing) => store.setState({ landing }),
    undo: () => shift('done', 'undone'),
    redo: () => shift('undone', 'done'),
    select: (selectedId) => store.setState({ selectedId, group: [] }),
    showFields: (fieldsOpen) => store.setState({ fieldsOpen }),
    forgetTold: () => store.setState({ told: null }),
    selectMore: (stepId, how) => {
      const { plan: now, selectedId, group } = store.getState();
      const order = stepsInOrder(now).map(({ step }) => step.id);
      if (selectedId === null) return store.setState({ selectedId: stepId, group: [] });
      const chosen = new Set(group.length > 0 ? group : [selectedId]);
      if (how === 'up-to') {
        const [from, to] = [order.indexOf(selectedId), order.indexOf(stepId)].sort((a, b) => a - b);
        for (const id of order.slice(from, to + 1)) chosen.add(id);
      } else if (!chosen.delete(stepId)) chosen.add(stepId);
      const next = order.filter((id) => chosen.has(id));
      const selected = next.includes(selectedId) ? selectedId : (next[0] ?? null);
      return store.setState({ selectedId: selected, group: next.length > 1 ? next : [] });
    },
    replace: (next, base, save) =>
      store.setState({ ...derived(next), revision: base, save, done: [], undone: [], landing: { kind: 'still' } }),
    setSave: (save, base) => store.setState(base === undefined ? { save } : { save, revision: base }),
  };
}
