import { firstItems, itemAt } from '@/core/units';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seedDemo } from '@/demo/seed';
import { sql } from 'drizzle-orm';
import { dropStraySounds } from '@/db/queries/sounds';
import { insertStudio } from '@/db/queries/studios';
import { insertTake } from '@/db/queries/takes';
import { isDiskFull } from '@/server/refusal';
import { endSound, keepSoundPiece, piecesOf, soundOfTake } from '@/server/sounds';
import { asking, type Asking } from '@/server/studio';
import { glanceOf } from '@/core/reading';
import { classList } from '@/server/classes';
import { envelopeOf, openTake, takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';
import { refusal } from '../support/refusal';

const SOUND = '0badcafe-0000-4000-8000-00000000abcd';
let who: Asking;
let drop: () => Promise<void>;
let takeId: string;

const piece = (bytes: Uint8Array<ArrayBuffer>): Request =>
  new Request('http://localhost/', { method: 'PUT', body: bytes });
const filled = (length: number, value: number): Uint8Array<ArrayBuffer> => new Uint8Array(length).fill(value);
const part = async (range: string | null): Promise<{ status: number; bytes: Uint8Array; range: string | null }> => {
  const answer = await soundOfTake(who, takeId, range);
  const bytes = new Uint8Array(await answer.arrayBuffer());
  return { status: answer.status, bytes, range: answer.headers.get('content-range') };
};

beforeAll(async () => {
  const fresh = await freshDatabase('sounds');
  drop = fresh.drop;
  await seedDemo(fresh.db);
  who = await asking();
  const [ferry] = firstItems((await classList(who)).classes, 1);
  const [seeded] = firstItems(await takesOf(who, ferry.id), 1);
  const { plan, evidence, reading } = await openTake(who, seeded.id);
  const taken = {
    classId: ferry.id,
    name: 'With sound',
    planText: JSON.stringify(plan),
    evidenceText: JSON.stringify(evidence),
    recordingText: null,
    performedText: null,
    readingText: JSON.stringify(reading),
    glanceText: JSON.stringify(glanceOf(reading)),
    soundId: SOUND,
    envelope: filled(9, 7),
  };
  takeId = await insertTake(who.db, who.studio.id, taken);
}, 60_000);
afterAll(() => drop());

describe('the sound of a take', () => {
  it('is not there before it was sent', async () => {
    expect((await refusal(soundOfTake(who, takeId, null))).code).toBe('no-sound');
  });

  it('comes piece by piece, in any order, and again; what is there can be asked', async () => {
    await keepSoundPiece(who, SOUND, '1', piece(filled(50, 2)));
    await keepSoundPiece(who, SOUND, '0', piece(filled(100, 9)));
    await keepSoundPiece(who, SOUND, '0', piece(filled(100, 1)));
    await keepSoundPiece(who, SOUND, '2', piece(filled(25, 3)));
    const pieces = await piecesOf(who, SOUND);
    expect(pieces.map(({ piece: at, size }) => [at, size])).toEqual([
      [0, 100],
      [1, 50],
      [2, 25],
    ]);
    const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', filled(100, 1)));
    expect(itemAt(pieces, 0).print).toBe(Buffer.from(digest).toString('hex'));
  });

  it('is given whole, or in the range asked for, across pieces', async () => {
    expect((await part(null)).bytes).toEqual(new Uint8Array([...filled(100, 1), ...filled(50, 2), ...filled(25, 3)]));
    expect(await part('bytes=98-101')).toEqual({
      status: 206,
      bytes: Uint8Array.of(1, 1, 2, 2),
      range: 'bytes 98-101/175',
    });
    expect(await part('bytes=149-')).toMatchObject({ status: 206, range: 'bytes 149-174/175' });
    expect((await part('bytes=-2')).bytes).toEqual(Uint8Array.of(3, 3));
    expect((await part('bytes=0-0')).bytes).toEqual(Uint8Array.of(1));
    expect(await part('bytes=175-')).toMatchObject({ status: 416, range: 'bytes */175' });
    expect((await part('bytes=oddly')).status).toBe(200);
  });

  it('refuses pieces that are none, and changes nothing', async () => {
    for (const [id, at, bytes] of [
      [SOUND, '1000', filled(5, 1)],
      [SOUND, '-1', filled(5, 1)],
      [SOUND, '3; drop table sounds', filled(5, 1)],
      ['no-id', '0', filled(5, 1)],
      [SOUND, '3', filled(0, 0)],
      [SOUND, '3', filled(512 * 1024 + 1, 1)],
    ] as const) {
      expect((await refusal(keepSoundPiece(who, id, at, piece(bytes)))).status).toBe(422);
    }
    expect((await piecesOf(who, SOUND)).length).toBe(3);
    expect(await piecesOf(who, 'no-id')).toEqual([]);
  });

  it('loses its end when a shorter copy of the same file takes its place', async () => {
    const other = SOUND.replace('abcd', 'beef');
    for (const at of ['0', '1', '2']) await keepSoundPiece(who, other, at, piece(filled(5, 1)));
    await endSound(who, other, '1');
    expect((await piecesOf(who, other)).map((one) => one.piece)).toEqual([0]);
    expect((await refusal(endSound(who, other, 'x'))).status).toBe(422);
    expect((await piecesOf(who, SOUND)).length).toBe(3);
    await endSound(who, other, '0');
  });

  it('is thrown away when no take ever got it, and kept where one did', async () => {
    const stray = SOUND.replace('abcd', 'dead');
    await keepSoundPiece(who, stray, '0', piece(filled(5, 1)));
    const soon = new Date(Date.now() + 60_000);
    expect(await dropStraySounds(who.db, who.studio.id, new Date(0))).toBe(0);
    const others = { db: who.db, studio: await insertStudio(who.db, 'Another hall') };
    await keepSoundPiece(others, stray, '0', piece(filled(5, 1)));
    expect(await dropStraySounds(who.db, who.studio.id, soon)).toBe(2);
    expect((await piecesOf(others, stray)).length).toBe(1);
    expect((await piecesOf(who, stray)).length).toBe(0);
    expect((await piecesOf(who, SOUND)).length).toBe(3);
  });

  it('has an envelope beside it', async () => {
    expect(new Uint8Array(await envelopeOf(who, takeId))).toEqual(filled(9, 7));
    expect((await refusal(envelopeOf(who, 'nothing'))).code).toBe('no-envelope');
  });

  it('is refused in words when the disk is full', async () => {
    await expect(
      who.db.execute(sql`do $$ begin raise exception 'no room' using errcode = '53100'; end $$`),
    ).rejects.toSatisfy(isDiskFull);
    expect(isDiskFull(new Error('something else'))).toBe(false);
  });
});
