import { itemAt } from '@/core/units';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshBrowser, store } from '../../tests/support/browser-store';
import { documentServer as server, type Doc } from '../../tests/support/document-server';
import { saveLeftDrafts } from './left-drafts';
import { startSaving, type Saving, type SaveState } from './saving';

vi.mock('idb-keyval', async () => (await import('../../tests/support/browser-store')).idbKeyval);

function start(revision = 1, words = 'stored'): { readonly saving: Saving<Doc>; readonly states: SaveState<Doc>[] } {
  const states: SaveState<Doc>[] = [];
  const saving = startSaving<Doc>({
    kind: 'class',
    id: 'd1',
    path: '/api/classes/d1',
    revision,
    stored: { words },
    bodyOf: (document) => document,
    theirsOf: (current) => current as { revision: number; document: Doc },
    read: (raw) => raw as Doc,
    onState: (state) => states.push(state),
  });
  return { saving, states };
}

const kindNow = (states: readonly SaveState<Doc>[]): string | undefined => states.at(-1)?.kind;

beforeEach(() => {
  freshBrowser('this-tab');
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('a document that saves itself', () => {
  it('is sent once after a pause, and its draft is gone when it is stored', async () => {
    const kept = server();
    const { saving, states } = start();
    await saving.takeUp();
    for (const words of ['o', 'on', 'one']) saving.changed({ words });
    expect(store.local.size).toBe(1);
    await vi.advanceTimersByTimeAsync(700);
    expect([kept.bodies.length, kept.words, kindNow(states)]).toEqual([1, 'one', 'saved']);
    expect([store.local.size, store.idb.size]).toEqual([0, 0]);
  });

  it('takes a save whose answer was lost for its own, and typing goes on over it', async () => {
    const kept = server();
    const { saving, states } = start();
    kept.mode = 'lose';
    saving.changed({ words: 'lost' });
    await vi.advanceTimersByTimeAsync(700);
    expect([kept.revision, kindNow(states)]).toEqual([2, 'away']);
    saving.changed({ words: 'lost and found' });
    kept.mode = 'up';
    await vi.advanceTimersByTimeAsync(3_000);
    expect([kept.words, kindNow(states)]).toEqual(['lost and found', 'saved']);
    expect(itemAt(kept.bodies, 1).unanswered).toEqual([itemAt(kept.bodies, 0).saveId]);
  });

  it('knows such a save also after a crash, for it was written down before it was sent', async () => {
    const kept = server();
    kept.mode = 'lose';
    const crashed = start();
    await crashed.saving.takeUp();
    crashed.saving.changed({ words: 'typed last' });
    await vi.advanceTimersByTimeAsync(700);
    crashed.saving.stop();
    kept.mode = 'up';
    // The page is loaded again: what stands stored is our own save, and what was typed is the same.
    const again = start(kept.revision, kept.words);
    expect(await again.saving.takeUp()).toBeNull();
    again.saving.changed({ words: 'typed on' });
    await vi.advanceTimersByTimeAsync(700);
    expect([kept.words, kindNow(again.states)]).toEqual(['typed on', 'saved']);
  });

  it('is not overwritten by a page that was rendered before a save of its own arrived', async () => {
    const kept = server();
    kept.mode = 'lose';
    const left = start();
    await left.saving.takeUp();
    left.saving.changed({ words: 'then undone' });
    left.saving.changed({ words: 'stored' });
    await vi.advanceTimersByTimeAsync(700);
    left.saving.stop();
    kept.mode = 'up';
    // Rendered at revision 1; the save that made it 2 came in between. The draft says what is stored, and is dropped.
    const next = start(1, 'stored');
    expect(await next.saving.takeUp()).toBeNull();
    next.saving.changed({ words: 'typed here' });
    await vi.advanceTimersByTimeAsync(700);
    expect([kept.words, kindNow(next.states)]).toEqual(['typed here', 'saved']);
  });

  it('never overwrites what another place saved; mine or theirs is chosen', async () => {
    for (const keep of ['ours', 'theirs'] as const) {
      const kept = server();
      const { saving, states } = start();
      await saving.takeUp();
      Object.assign(kept, { revision: 5, words: 'elsewhere', lastSaveId: 'another' });
      saving.changed({ words: 'mine' });
      await vi.advanceTimersByTimeAsync(700);
      expect([kept.words, kindNow(states)]).toEqual(['elsewhere', 'conflict']);
      saving.changed({ words: 'mine, typed on' });
      await vi.advanceTimersByTimeAsync(5_000);
      expect([kept.words, kept.bodies.length, store.local.size]).toEqual(['elsewhere', 1, 1]);
      await saving.settle(keep);
      await vi.advanceTimersByTimeAsync(700);
      expect(kept.words).toBe(keep === 'ours' ? 'mine, typed on' : 'elsewhere');
      expect([kindNow(states), store.local.size, store.idb.size]).toEqual(['saved', 0, 0]);
    }
  });

  it('waits for a server that is away, and keeps what is refused', async () => {
    const kept = server();
    const { saving, states } = start();
    await saving.takeUp();
    kept.mode = 'away';
    saving.changed({ words: 'out at sea' });
    await vi.advanceTimersByTimeAsync(20_000);
    expect([kept.bodies.length, kindNow(states), store.local.size]).toEqual([0, 'away', 1]);
    kept.mode = 'refuse';
    await vi.advanceTimersByTimeAsync(3_000);
    expect([kindNow(states), store.local.size]).toEqual(['refused', 1]);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(kept.bodies.length).toBe(1);
    kept.mode = 'up';
    saving.changed({ words: 'home again' });
    expect(await saving.flush()).toBe(true);
    expect(kept.words).toBe('home again');
  });
});

describe('what closed pages left', () => {
  const LEFT = { baseRevision: 1, unanswered: [], document: { words: 'left' }, at: 1 };
  const save = () => saveLeftDrafts('class', (id) => `/api/classes/${id}`, (document) => document as Doc); // prettier-ignore

  it('is saved by the list, and stays where it cannot be', async () => {
    const kept = server();
    store.idb.set('draft/class/d1/gone', LEFT);
    kept.mode = 'away';
    expect(await save()).toEqual([{ id: 'd1', document: { words: 'left' }, saved: false }]);
    expect(store.idb.size).toBe(1);
    kept.mode = 'up';
    expect(itemAt(await save(), 0).saved).toBe(true);
    expect(kept.words).toBe('left');
    // Kept for a page that was drawn before, and sent no more; gone when none can be left.
    expect(await save()).toEqual([]);
    expect([kept.bodies.length, store.idb.size]).toEqual([1, 1]);
    await vi.advanceTimersByTimeAsync(61_000);
    expect(await save()).toEqual([]);
    expect([kept.bodies.length, store.idb.size, store.local.size]).toEqual([1, 0, 0]);
    store.idb.set('draft/class/d1/gone', LEFT);
    Object.assign(kept, { revision: 9, words: 'elsewhere', lastSaveId: '' });
    expect(itemAt(await save(), 0).saved).toBe(false);
    expect([kept.words, store.idb.size]).toEqual(['elsewhere', 1]);
  });

  it('is what a page goes on from that was drawn before the list had saved it', async () => {
    const kept = server();
    store.idb.set('draft/class/d1/this-tab', LEFT);
    await save();
    expect(kept.revision).toBe(2);
    const drawnBefore = start(1, 'stored');
    expect(await drawnBefore.saving.takeUp()).toEqual({ words: 'left' });
    expect([kindNow(drawnBefore.states), store.idb.size, store.local.size]).toEqual(['saved', 0, 0]);
    drawnBefore.saving.changed({ words: 'left, typed on' });
    await vi.advanceTimersByTimeAsync(700);
    expect([kept.words, kindNow(drawnBefore.states)]).toEqual(['left, typed on', 'saved']);
  });

  it('is nothing to a page that was drawn after, whoever saved then', async () => {
    const kept = server();
    store.idb.set('draft/class/d1/this-tab', LEFT);
    await save();
    Object.assign(kept, { revision: 3, words: 'elsewhere', lastSaveId: 'another' });
    const drawnAfter = start(3, 'elsewhere');
    expect(await drawnAfter.saving.takeUp()).toBeNull();
    expect([store.idb.size, store.local.size]).toEqual([0, 0]);
  });
});

describe('a page that is left just after a save was stored', () => {
  const leave = (): unknown => vi.mocked(addEventListener).mock.calls.find(([kind]) => kind === 'pagehide')?.[1];

  beforeEach(() => {
    vi.stubGlobal('document', { addEventListener: vi.fn(), removeEventListener: vi.fn(), visibilityState: 'hidden' });
    vi.stubGlobal('addEventListener', vi.fn());
    vi.stubGlobal('removeEventListener', vi.fn());
  });

  it.each([
    [3_000, 'typed last'],
    [11_000, null],
  ])('after %i ms the next, drawn before that, goes on from %s', async (milliseconds, words) => {
    const kept = server();
    const { saving } = start();
    await saving.takeUp();
    saving.changed({ words: 'typed last' });
    await vi.advanceTimersByTimeAsync(700 + milliseconds);
    (leave() as () => void)();
    saving.stop();
    const drawnBefore = start(1, 'stored');
    expect(await drawnBefore.saving.takeUp()).toEqual(words === null ? null : { words });
    expect([kept.revision, kept.bodies.length]).toEqual([2, 1]);
  });
});
