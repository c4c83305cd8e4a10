import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { spellingSchema } from '@/api/terms';
import { newVoiceSchema } from '@/api/voice';
import { insertStudio } from '@/db/queries/studios';
import { asking, type Asking } from '@/server/studio';
import { chooseSpelling, spelling } from '@/server/terms';
import { dropVoice, keepVoice, studioVoice, voices } from '@/server/voice';
import { freshDatabase } from '../support/application';
import { refusal } from '../support/refusal';

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
    expect(await spelling(who)).toEqual({});
    await chooseSpelling(who, { 'breath-energy': 'chi' });
    expect(await spelling(who)).toEqual({ 'breath-energy': 'chi' });
    const stranger: Asking = { db: who.db, studio: await insertStudio(who.db, 'A third hall') };
    expect(await spelling(stranger)).toEqual({});
    await chooseSpelling(who, {});
    expect(await spelling(who)).toEqual({});
  });

  it.each([{ 'breath-energy': 'energy' }, { nothing: 'chi' }, { 'breath-energy': 1 }])('refuses %j', (body) => {
    expect(spellingSchema.isValidSync(body, { strict: true })).toBe(false);
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
    expect(await studioVoice(who)).toBe(200);
    await dropVoice(who, kept[0].id);
    expect(await studioVoice(who)).toBe(180);
    expect(await refusal(dropVoice(who, kept[0].id))).toMatchObject({ status: 404, code: 'no-voice' });
    expect(await refusal(dropVoice(who, "'; drop table studios; --"))).toMatchObject({ status: 404 });
  });

  it('is its own: another studio neither sees nor removes it', async () => {
    const stranger: Asking = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    const [kept] = await voices(who);
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
