import { itemAt } from '@/core/units';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { makeContent, makeLibraryMovement, summaryOf, type Movement } from '@/core/movement';
import { createLibrary, type LibraryStore } from './library-store';

let count = 0;
const newId = (): string => `b${++count}`;
const lamp = makeLibraryMovement(makeContent(newId, 'Raising the lamp'));

/** A server with one movement; `away` and `refuse` say how it answers a save. */
function server() {
  const state = { revision: 1, movement: lamp, archived: false, away: false, refuse: false, saves: 0 };
  const answer = (path: string, init?: RequestInit): Response => {
    const body = init?.body === undefined ? null : (JSON.parse(init.body as string) as Record<string, unknown>);
    if (path.endsWith('/archived')) {
      state.archived = body?.archived === true;
      return new Response(null, { status: 204 });
    }
    const stored = { id: 'm1', revision: state.revision, archived: state.archived, movement: state.movement };
    if (init?.method === 'GET') return Response.json(stored);
    if (init?.method === 'POST')
      return Response.json({ ...stored, id: 'm2', movement: body?.movement }, { status: 201 });
    state.saves++;
    if (state.refuse) {
      const issues = [{ code: 'out-of-range', at: 'multiple', facts: {} }];
      return Response.json({ code: 'bad-movement', detail: 'No.', issues }, { status: 422 });
    }
    if (body?.baseRevision !== state.revision) {
      return Response.json({ code: 'newer-revision', detail: 'Stale.', current: stored }, { status: 409 });
    }
    state.revision++;
    state.movement = body.movement as Movement;
    return Response.json({ revision: state.revision });
  };
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) =>
    state.away ? Promise.reject(new Error('away')) : Promise.resolve(answer(path, init)),
  );
  return state;
}

async function opened(): Promise<LibraryStore> {
  const store = createLibrary([{ id: 'm1', revision: 1, archived: false, summary: summaryOf(lamp) }]);
  await store.open('m1');
  return store;
}

const open = (store: LibraryStore) => {
  const found = store.getState().open;
  if (!found) throw new Error('nothing is open');
  return found;
};

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the open movement', () => {
  it('saves itself after a pause, and the list shows what was saved', async () => {
    const stored = server();
    const store = await opened();
    for (const name of ['L', 'La', 'Lamp']) store.set('name', name);
    expect(open(store).save.kind).toBe('waiting');
    await vi.advanceTimersByTimeAsync(700);
    expect(stored).toMatchObject({ revision: 2, saves: 1, movement: { name: 'Lamp' } });
    expect(open(store)).toMatchObject({ revision: 2, save: { kind: 'saved' } });
    expect(itemAt(store.getState().entries, 0).summary.name).toBe('Lamp');
  });

  it('takes back what was typed into one field as one, and saves that too', async () => {
    const stored = server();
    const store = await opened();
    for (const name of ['L', 'La']) store.set('name', name);
    store.set('multiple', 3);
    store.undo();
    expect(open(store).movement).toMatchObject({ name: 'La', multiple: 1 });
    store.undo();
    expect(open(store).movement).toEqual(lamp);
    store.undo();
    await store.flush();
    expect(stored.movement).toEqual(lamp);
  });

  it('never overwrites a newer save; one of the two is chosen', async () => {
    const stored = server();
    const store = await opened();
    stored.revision = 5;
    stored.movement = { ...lamp, name: 'Theirs' };
    store.set('name', 'Ours');
    await vi.advanceTimersByTimeAsync(700);
    expect(open(store).save).toMatchObject({ kind: 'conflict', theirs: { revision: 5 } });
    store.set('seated', 'Typed meanwhile.');
    expect(open(store).save.kind).toBe('conflict');
    expect(stored.movement.name).toBe('Theirs');
    store.settle('ours');
    await vi.advanceTimersByTimeAsync(100);
    expect(stored).toMatchObject({ revision: 6, movement: { name: 'Ours', seated: 'Typed meanwhile.' } });
    stored.revision = 9;
    stored.movement = { ...lamp, name: 'Theirs again' };
    store.set('name', 'Ours again');
    await vi.advanceTimersByTimeAsync(700);
    store.settle('theirs');
    expect(open(store)).toMatchObject({ revision: 9, movement: { name: 'Theirs again' }, save: { kind: 'saved' } });
    expect(itemAt(store.getState().entries, 0).summary.name).toBe('Theirs again');
  });

  it('tries again while nobody answers, and loses nothing typed meanwhile', async () => {
    const stored = server();
    const store = await opened();
    stored.away = true;
    store.set('name', 'One');
    await vi.advanceTimersByTimeAsync(700);
    expect(open(store).save.kind).toBe('away');
    store.set('name', 'Two');
    stored.away = false;
    await vi.advanceTimersByTimeAsync(4000);
    expect(stored.movement.name).toBe('Two');
    expect(open(store).save.kind).toBe('saved');
  });

  it('says why it is refused and keeps what was typed', async () => {
    const stored = server();
    const store = await opened();
    stored.refuse = true;
    store.set('multiple', 0);
    await vi.advanceTimersByTimeAsync(700);
    expect(open(store)).toMatchObject({
      movement: { multiple: 0 },
      save: { kind: 'refused', issues: [{ at: 'multiple' }] },
    });
    stored.refuse = false;
    store.set('multiple', 2);
    await vi.advanceTimersByTimeAsync(700);
    expect(stored.movement.multiple).toBe(2);
  });

  it('is added and archived in the list; trouble is told', async () => {
    const stored = server();
    const store = await opened();
    await store.add({ ...lamp, name: 'A new one' });
    expect(open(store)).toMatchObject({ id: 'm2', movement: { name: 'A new one' } });
    expect(store.getState().entries.map((entry) => entry.summary.name)).toEqual(['A new one', 'Raising the lamp']);
    await store.archive('m1', true);
    expect(stored.archived).toBe(true);
    expect(store.getState().entries.find((entry) => entry.id === 'm1')?.archived).toBe(true);
    stored.away = true;
    await store.open('m1');
    expect(store.getState().trouble).toContain('does not answer');
  });
});
