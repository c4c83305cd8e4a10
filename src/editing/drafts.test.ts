import { itemAt } from '@/core/units';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshBrowser, store } from '../../tests/support/browser-store';
import { Drafts, leftDrafts } from './drafts';

vi.mock('idb-keyval', async () => (await import('../../tests/support/browser-store')).idbKeyval);

const TAB = 'this-tab';
const text = (raw: unknown): string | null => (typeof raw === 'string' ? raw : null);
const draft = (document: unknown, at = 1) => ({ baseRevision: 4, unanswered: ['s'], document, at });
const drafts = (kind: 'class' | 'movement' = 'class'): Drafts<string> => new Drafts({ kind, id: 'd1' });

beforeEach(() => freshBrowser(TAB));
afterEach(() => vi.unstubAllGlobals());

describe('drafts', () => {
  it('are kept before the call returns, found again, and gone once they are dropped', async () => {
    const own = drafts();
    expect(await own.find(text)).toBeNull();
    own.keep({ baseRevision: 4, unanswered: [], document: 'typed' });
    expect([...store.local.keys()]).toEqual([`draft/class/d1/${TAB}`]);
    expect(await drafts().find(text)).toMatchObject({ baseRevision: 4, document: 'typed' });
    await own.drop();
    expect([store.local.size, store.idb.size]).toEqual([0, 0]);
  });

  it('are the newer of the two that a crash may have left', async () => {
    store.idb.set(`draft/class/d1/${TAB}`, draft('older', 5));
    store.local.set(`draft/class/d1/${TAB}`, JSON.stringify(draft('newest', 6)));
    expect(await drafts().find(text)).toMatchObject({ document: 'newest' });
    store.idb.set(`draft/class/d1/${TAB}`, draft('newer still', 7));
    expect(await drafts().find(text)).toMatchObject({ document: 'newer still' });
  });

  it('are what is not stored yet before what is', async () => {
    store.idb.set(`draft/class/d1/${TAB}`, { ...draft('stored', 9), savedAs: 5 });
    store.idb.set('draft/class/d1/gone', draft('not stored', 3));
    expect(await drafts().find(text)).toMatchObject({ document: 'not stored' });
    expect(await drafts().find(text)).toMatchObject({ document: 'not stored' });
  });

  it('rise also when the clock is set back', async () => {
    vi.useFakeTimers({ now: 1_000_000 });
    const own = drafts();
    await own.find(text);
    own.keep({ baseRevision: 1, unanswered: [], document: 'first' });
    vi.setSystemTime(10);
    own.keep({ baseRevision: 1, unanswered: [], document: 'second' });
    vi.useRealTimers();
    expect(await drafts().find(text)).toMatchObject({ document: 'second' });
  });

  it('of another tab are taken over when it is gone, and left alone while it lives', async () => {
    store.idb.set('draft/class/d1/other', draft('left'));
    store.alive.add('other');
    expect(await drafts().find(text)).toBeNull();
    store.alive.clear();
    expect(await drafts().find(text)).toMatchObject({ document: 'left', unanswered: ['s'] });
    expect([...store.idb.keys()]).toEqual([`draft/class/d1/${TAB}`]);
  });

  it('that cannot be read are left where they are', async () => {
    store.idb.set('draft/class/d1/other', draft(17));
    expect(await drafts().find(text)).toBeNull();
    expect(store.idb.size).toBe(1);
  });

  it('of before are found with the revision that they build on, and moved', async () => {
    store.idb.set('draft/d1/gone', { baseRevision: 3, plan: 'an older class' });
    expect(await drafts().find(text)).toMatchObject({ baseRevision: 3, document: 'an older class' });
    store.idb.set('movement draft d1', { baseRevision: 2, movement: 'an older movement' });
    expect(await drafts('movement').find(text)).toMatchObject({ baseRevision: 2, document: 'an older movement' });
    expect([...store.idb.keys()].sort()).toEqual([`draft/class/d1/${TAB}`, `draft/movement/d1/${TAB}`]);
  });

  it('too large to be written ahead leave no older one to be taken for the newest', async () => {
    const own = drafts();
    await own.find(text);
    own.keep({ baseRevision: 1, unanswered: [], document: 'short' });
    own.keep({ baseRevision: 1, unanswered: [], document: 'x'.repeat(500_000) });
    expect(store.local.size).toBe(0);
    expect((await drafts().find(text))?.document.length).toBe(500_000);
  });

  it('that were left are listed once a document, this tab’s own first', async () => {
    store.idb.set('draft/class/d1/gone', draft('of a tab that is gone', 9));
    store.idb.set(`draft/class/d1/${TAB}`, draft('our own', 1));
    store.idb.set('draft/class/d2/alive', draft('being typed'));
    store.idb.set('draft/movement/m1/gone', draft('a movement'));
    store.alive.add('alive');
    const left = await leftDrafts('class');
    expect(left.map(({ id, draft: found }) => [id, found.document])).toEqual([['d1', 'our own']]);
    await itemAt(left, 0).drop();
    expect(itemAt(await leftDrafts('class'), 0).draft.document).toBe('of a tab that is gone');
  });
});
