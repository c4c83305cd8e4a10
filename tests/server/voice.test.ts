import { firstItems, itemAt } from '@/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { spellingSchema } from '@/api/terms';
import { newVoiceSchema } from '@/api/voice';
import { NO_SPELLING, type Term } from '@/core/words';
import { onRevision } from '@/db/queries/save-base';
import { insertStudio } from '@/db/queries/studios';
import { asking, type Asking } from '@/server/studio';
import { chooseSpelling, spelling } from '@/server/terms';
import { dropVoice, keepVoice, studioVoice, voices } from '@/server/voice';
import { freshDatabase } from '../support/application';
import { refusal } from '../support/refusal';

const OWN: Term = { term: 'own-1', variants: ['lu', 'loo'], misheard: ['loom'], known: false };

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;

beforeAll(async () => {
  database = await freshDatabase('calm_voice');
  await insertStudio(database.db, 'Slack Water Hall');
  who = await asking();
});
afterAll(() => database.drop());

describe('the spelling of a studio', () => {
  it('is as written until it is chosen, whole, and by itself', async () => {
    expect(await spelling(who)).toEqual({ ...NO_SPELLING, revision: 1 });
    const mine = { chosen: { 'breath-energy': 'chi', 'own-1': 'loo' }, own: [OWN] };
    expect(await chooseSpelling(who, onRevision(1), mine)).toEqual({ revision: 2 });
    expect(await spelling(who)).toEqual({ ...mine, revision: 2 });
    const stranger: Asking = { db: who.db, studio: await insertStudio(who.db, 'A third hall') };
    expect(await spelling(stranger)).toEqual({ ...NO_SPELLING, revision: 1 });
    const stale = await refusal(chooseSpelling(who, onRevision(1), NO_SPELLING));
    expect(stale).toMatchObject({ status: 409, extra: { current: { ...mine, revision: 2 } } });
    await chooseSpelling(who, onRevision(2), NO_SPELLING);
    expect(await spelling(who)).toEqual({ ...NO_SPELLING, revision: 3 });
  });

  it('takes spellings of the house and of its own terms', () => {
    const valid = (body: object): boolean => spellingSchema.isValidSync({ baseRevision: 1, ...body }, { strict: true });
    expect(valid(NO_SPELLING)).toBe(true);
    expect(valid({ chosen: { 'own-1': 'lu', 'breath-energy': 'ki' }, own: [OWN] })).toBe(true);
  });

  it.each([
    ['a spelling that the term has not', { chosen: { 'breath-energy': 'energy' }, own: [] }],
    ['no such term', { chosen: { nothing: 'chi' }, own: [] }],
    ['a number', { chosen: { 'breath-energy': 1 }, own: [] }],
    ['nothing chosen at all', { own: [] }],
    ['an own term without a spelling', { chosen: {}, own: [{ ...OWN, variants: [] }] }],
    ['a spelling of the house', { chosen: {}, own: [{ ...OWN, variants: ['Chi'] }] }],
    ['one spelling twice', { chosen: {}, own: [OWN, { ...OWN, term: 'own-2' }] }],
    ['a name twice', { chosen: {}, own: [OWN, { ...OWN, variants: ['other'] }] }],
    ['two lines', { chosen: {}, own: [{ ...OWN, variants: ['lu\nlu'] }] }],
    ['a name that is not ours', { chosen: {}, own: [{ ...OWN, term: 'breath-energy' }] }],
  ])('refuses %s', (_, body) => {
    expect(spellingSchema.isValidSync({ baseRevision: 1, ...body }, { strict: true })).toBe(false);
  });
});

describe('the voice of a studio', () => {
  it('is the middle of what was kept, the newest first, until it is removed', async () => {
    expect(await studioVoice(who)).toBeNull();
    for (const rate of [180, 240, 200]) {
      await keepVoice(who, { syllablesPerMinute: rate, pauseSeconds: rate === 200 ? 1.2 : null, how: 'microphone' });
    }
    const kept = await voices(who);
    expect(kept.map(({ syllablesPerMinute }) => syllablesPerMinute)).toEqual([200, 240, 180]);
    expect(await studioVoice(who)).toEqual({ syllablesPerMinute: 200, pauseSeconds: 1.2 });
    await dropVoice(who, itemAt(kept, 0).id);
    expect(await studioVoice(who)).toEqual({ syllablesPerMinute: 180, pauseSeconds: null });
    expect(await refusal(dropVoice(who, itemAt(kept, 0).id))).toMatchObject({ status: 404, code: 'no-voice' });
    expect(await refusal(dropVoice(who, "'; drop table studios; --"))).toMatchObject({ status: 404 });
  });

  it('is its own: another studio neither sees nor removes it', async () => {
    const stranger: Asking = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    const [kept] = firstItems(await voices(who), 1);
    expect(await voices(stranger)).toEqual([]);
    expect(await refusal(dropVoice(stranger, kept.id))).toMatchObject({ status: 404 });
  });

  it('keeps fifty measures and no more', async () => {
    while ((await voices(who)).length < 50) {
      await keepVoice(who, { syllablesPerMinute: 190, pauseSeconds: null, how: 'typed' });
    }
    const more = keepVoice(who, { syllablesPerMinute: 190, pauseSeconds: null, how: 'typed' });
    expect(await refusal(more)).toMatchObject({ status: 409, code: 'too-many-voices' });
  });

  it.each([
    { syllablesPerMinute: 59, pauseSeconds: null, how: 'typed' },
    { syllablesPerMinute: 190, pauseSeconds: -1, how: 'typed' },
    { syllablesPerMinute: 190, pauseSeconds: null, how: 'guessed' },
    { syllablesPerMinute: '190', pauseSeconds: null, how: 'typed' },
    { syllablesPerMinute: 190, pauseSeconds: null, how: 'typed', more: 1 },
  ])('refuses %j at the door', (body) => {
    expect(newVoiceSchema.isValidSync(body, { strict: true })).toBe(false);
  });
});
