import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshBrowser } from '../../tests/support/browser-store';
import { documentServer, type Doc } from '../../tests/support/document-server';
import { createSession, type DocumentSession } from './session';

vi.mock('idb-keyval', async () => (await import('../../tests/support/browser-store')).idbKeyval);

/** Words are added at the end, or taken away there. */
type Words = { readonly add: string } | { readonly take: string } | { readonly both: readonly Words[] };

function apply(document: Doc, edit: Words): { document: Doc; inverse: Words } | null {
  if ('both' in edit) {
    let now = document;
    const inverses: Words[] = [];
    for (const one of edit.both) {
      const applied = apply(now, one);
      if (!applied) return null;
      now = applied.document;
      inverses.unshift(applied.inverse);
    }
    return { document: now, inverse: { both: inverses } };
  }
  if ('add' in edit) return { document: { words: `${document.words}${edit.add}` }, inverse: { take: edit.add } };
  if (!document.words.endsWith(edit.take)) return null;
  return { document: { words: document.words.slice(0, -edit.take.length) }, inverse: { add: edit.take } };
}

function session(asEdit?: (draft: Doc) => Words): DocumentSession<Doc, Words> {
  return createSession<Doc, Words>({
    kind: 'class',
    id: 'd1',
    path: '/api/classes/d1',
    revision: 1,
    stored: { words: 'stored' },
    apply,
    together: (both) => ({ both }),
    asEdit,
    bodyOf: (document) => document,
    theirsOf: (current) => current as { revision: number; document: Doc },
    read: (raw) => raw as Doc,
  });
}

const words = (one: DocumentSession<Doc, Words>): string => one.getState().document.words;

beforeEach(() => {
  freshBrowser('this-tab');
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('a document that is edited', () => {
  it('undoes letters of one field as one, redoes them, and forgets what was undone once it is edited', () => {
    const one = session();
    for (const letter of ['a', 'b', 'c']) one.edit({ add: letter }, 'field');
    one.edit({ add: '!' });
    expect(one.getState().done.length).toBe(2);
    expect(one.undo()).toBe(true);
    expect(words(one)).toBe('storedabc');
    expect(one.redo()).toBe(true);
    expect(words(one)).toBe('storedabc!');
    one.undo();
    one.edit({ add: '?' });
    expect(one.redo()).toBe(false);
    expect(words(one)).toBe('storedabc?');
  });

  it('undoes what followed an edit together with it', () => {
    const one = session();
    one.edit({ add: 'a' });
    expect(one.follow({ add: 'b' })).toBe(true);
    expect(words(one)).toBe('storedab');
    one.undo();
    expect(words(one)).toBe('stored');
    one.redo();
    expect(words(one)).toBe('storedab');
    expect(session().follow({ add: 'b' })).toBe(false);
  });

  it('stays as it was where an edit finds no place', () => {
    const one = session();
    const before = one.getState();
    expect(one.edit({ take: 'nothing of it' })).toBe(false);
    expect(one.getState()).toBe(before);
    expect([one.undo(), one.redo()]).toEqual([false, false]);
  });

  it('saves what is edited, undone and redone from when it begins', async () => {
    const kept = documentServer();
    const one = session();
    await one.begin();
    one.edit({ add: ' a' });
    expect(one.getState().save.kind).toBe('waiting');
    await vi.advanceTimersByTimeAsync(700);
    expect(kept.words).toBe('stored a');
    expect(one.getState()).toMatchObject({ revision: 2, save: { kind: 'saved' } });
    one.undo();
    expect(await one.flush()).toBe(true);
    expect(kept.words).toBe('stored');
    one.stop();
    one.edit({ add: ' later' });
    await vi.advanceTimersByTimeAsync(5000);
    expect(kept.words).toBe('stored');
  });

  it('never overwrites a newer save: ours or theirs is chosen, and theirs cannot be undone into ours', async () => {
    const kept = documentServer();
    const one = session();
    await one.begin();
    Object.assign(kept, { revision: 5, words: 'theirs', lastSaveId: 'another' });
    one.edit({ add: ' ours' });
    await vi.advanceTimersByTimeAsync(700);
    expect(one.getState().save).toMatchObject({ kind: 'conflict', theirs: { revision: 5 } });
    one.edit({ add: ' still' });
    expect(one.getState().save.kind).toBe('conflict');
    expect(kept.words).toBe('theirs');
    await one.settle('theirs');
    expect(one.getState()).toMatchObject({ revision: 5, document: { words: 'theirs' }, done: [], undone: [] });
    one.edit({ add: ' and ours' });
    await vi.advanceTimersByTimeAsync(700);
    expect(kept.words).toBe('theirs and ours');
  });

  it('goes on from a draft that was left; told as an edit it can be undone', async () => {
    documentServer().mode = 'away';
    const first = session();
    await first.begin();
    first.edit({ add: ' draft' });
    await vi.advanceTimersByTimeAsync(700);
    first.stop();
    const plain = session();
    await plain.begin();
    expect(words(plain)).toBe('stored draft');
    expect(plain.getState().done).toEqual([]);
    plain.stop();
    const told = session((draft) => ({ add: draft.words.slice('stored'.length) }));
    await told.begin();
    expect(words(told)).toBe('stored draft');
    expect(told.undo()).toBe(true);
    expect(words(told)).toBe('stored');
  });

  it('lays what is done while a draft is looked for on top of the draft, and says nothing of saving before', async () => {
    documentServer().mode = 'away';
    const first = session();
    await first.begin();
    first.edit({ add: ' draft' });
    await vi.advanceTimersByTimeAsync(700);
    first.stop();
    const next = session();
    const begun = next.begin();
    expect(next.getState().begun).toBe(false);
    expect(next.edit({ add: ' at once' })).toBe(true);
    await begun;
    expect(words(next)).toBe('stored draft at once');
    expect(next.getState()).toMatchObject({ begun: true, save: { kind: 'waiting' } });
    next.stop();
  });
});
