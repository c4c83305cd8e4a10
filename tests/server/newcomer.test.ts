import { firstItems, itemAt } from '@/core/units';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { unpackShape } from '@/core/timeline';
import { emptyBin } from '@/db/queries/bin';
import { insertStudio } from '@/db/queries/studios';
import { seedDemo } from '@/demo/seed';
import { addClass, classList, listingOf, openClass, saveClass, saveListing } from '@/server/classes';
import { find } from '@/server/find';
import { callRevision, historyOf } from '@/server/history';
import { dropMovementMedia, movementMediaFile, movementPictures, setMovementMedia } from '@/server/media';
import { addMovement, library, openMovement, removeMovement } from '@/server/movements';
import { asking, nameStudio, type Asking } from '@/server/studio';
import { takesOf } from '@/server/takes';
import { freshDatabase } from '../support/application';
import { asSent } from '../support/as-sent';
import { refusal } from '../support/refusal';

/* What the list, the head and the library ask of the server: shapes, tags, live dates, search, names, pictures. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let who: Asking;
let other: Asking;
const folder = mkdtempSync(join(tmpdir(), 'calm-media-'));

beforeAll(async () => {
  database = await freshDatabase('calm_newcomer');
  await seedDemo(database.db);
  who = await asking();
  other = { db: database.db, studio: await insertStudio(database.db, 'Another studio') };
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await database.drop();
});

const titled = async (title: string) => {
  const found = (await classList(who)).classes.find((entry) => entry.title === title);
  if (!found) throw new Error(`no class ${title}`);
  return found;
};

describe('the list of classes', () => {
  it('carries each class’s shape, as long as the class', async () => {
    for (const { title, shape, runtimeSeconds } of (await classList(who)).classes) {
      const stretches = unpackShape(shape);
      const length = stretches.reduce((sum, { seconds }) => sum + seconds, 0);
      expect(Math.abs(length - runtimeSeconds), title).toBeLessThan(stretches.length);
      expect(stretches.filter(({ opens }) => opens).length, title).toBeGreaterThan(2);
      expect(
        stretches.some(({ kind, breaths }) => kind === 'breath' && breaths > 2),
        title,
      ).toBe(true);
    }
  });

  it('works out what rows from before it was kept have not, once', async () => {
    const { id, shape, about } = await titled('Evening Ebb');
    await database.db.execute(sql`update classes set shape = null, about = null where id = ${id}`);
    expect(await titled('Evening Ebb')).toMatchObject({ shape, about });
    const [row] = firstItems((await database.db.execute(sql`select shape from classes where id = ${id}`)).rows, 1);
    expect(row.shape).toBe(shape);
  });

  it('tells how the last take ended, and takes what they held', async () => {
    expect((await titled('Before the First Ferry')).lastOffSeconds).toBe(28);
    const { id } = await titled('Before the First Ferry');
    await database.db.execute(sql`update readings set glance = null`);
    const [latest] = firstItems(await takesOf(who, id), 1);
    expect(latest.glance).toMatchObject({ offSeconds: 28, adLibs: 3 });
    expect(latest.glance?.drift.length).toBe(48);
    expect(latest.glance?.adLibWords.length).toBeGreaterThan(0);
  });
});

describe('tags and live dates', () => {
  const dates = ['2031-05-14T17:00:00.000Z', '2030-05-14T17:00:00.000Z'];

  it('are set together, in order and once each; the next date is listed', async () => {
    const { id } = await titled('Evening Ebb');
    const was = await listingOf(who, id);
    const next = { tags: ['quiet', ' quiet ', 'sea'], liveDates: dates };
    const saved = await saveListing(who, id, was, next);
    expect(saved).toEqual({ tags: ['quiet', 'sea'], liveDates: [dates[1], dates[0]] });
    expect(await listingOf(who, id)).toEqual(saved);
    expect(await titled('Evening Ebb')).toMatchObject({ tags: ['quiet', 'sea'], nextLive: '2030-05-14T17:00:00Z' });
  });

  it('are not overwritten when they were changed elsewhere; the same twice is answered twice alike', async () => {
    const { id } = await titled('Evening Ebb');
    const was = await listingOf(who, id);
    const mine = { tags: ['mine'], liveDates: [] };
    // However its fields stand in the request.
    await saveListing(who, id, { liveDates: was.liveDates, tags: was.tags }, mine);
    expect(await saveListing(who, id, was, mine)).toEqual(mine);
    const refused = await refusal(saveListing(who, id, was, { tags: ['theirs'], liveDates: [] }));
    expect(refused).toMatchObject({ status: 409, extra: { current: mine } });
    expect(await listingOf(who, id)).toEqual(mine);
  });

  it('belong to one studio', async () => {
    const { id } = await titled('Evening Ebb');
    expect((await refusal(listingOf(other, id))).status).toBe(404);
    const none = { tags: [], liveDates: [] };
    expect((await refusal(saveListing(other, id, none, none))).status).toBe(404);
  });

  it('are judged at the door', () => {
    const none = { tags: [], liveDates: [] };
    for (const next of [
      { tags: [''], liveDates: [] },
      { tags: Array(13).fill('x'), liveDates: [] },
      { tags: [], liveDates: ['Thursday'] },
      { tags: [], liveDates: ['2026-02-30T10:00:00.000Z'] },
      { tags: [], liveDates: ['1926-05-14T17:00:00.000Z'] },
    ]) {
      expect(() => asSent('class-listing', { was: none, next })).toThrow();
    }
  });
});

describe('finding', () => {
  it('looks for words in names, in any case, of this studio alone', async () => {
    const { classes, movements } = await find(who, 'FERRY');
    expect(classes.map(({ title }) => title)).toEqual(['Before the First Ferry']);
    expect(movements).toEqual([]);
    expect((await find(who, 'lamp')).movements.map(({ name }) => name)).toContain('Raising the lamp');
    expect(await find(other, 'ferry')).toEqual({ classes: [], movements: [] });
  });

  it('takes odd words as words', async () => {
    for (const words of ['', '   ', '%', '_', "'; drop table classes; --", 'a\u0000b', '\uD83C', 'x'.repeat(5_000)]) {
      expect(await find(who, words)).toEqual({ classes: [], movements: [] });
    }
  });
});

describe('names', () => {
  it('the studio’s is changed where it is still what the page knew', async () => {
    const was = who.studio.name;
    expect((await nameStudio(who, was, ' Harbour Hall ')).name).toBe('Harbour Hall');
    expect((await asking()).studio.name).toBe('Harbour Hall');
    expect((await refusal(nameStudio(who, was, 'Third'))).status).toBe(409);
    await nameStudio(who, 'Harbour Hall', was);
  });

  it('a version’s is given, told in the history, and taken away', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Named' });
    const plan = asSent('save-class', { baseRevision: 1, plan: { ...made.plan, focus: 'shoulders' } }).plan;
    await saveClass(who, made.id, { baseRevision: 1 }, plan);
    await callRevision(who, made.id, 1, 'As it began');
    const [session] = firstItems((await historyOf(who, made.id, 2 ** 31 - 1)).entries, 1);
    expect(session.saves.map(({ revision, name }) => [revision, name])).toEqual([
      [2, null],
      [1, 'As it began'],
    ]);
    await callRevision(who, made.id, 1, '  ');
    const [after] = firstItems((await historyOf(who, made.id, 2 ** 31 - 1)).entries, 1);
    expect(after.saves.every(({ name }) => name === null)).toBe(true);
    expect((await refusal(callRevision(who, made.id, 9, 'None'))).code).toBe('no-revision');
    expect((await refusal(callRevision(other, made.id, 1, 'Theirs'))).status).toBe(404);
    expect((await openClass(who, made.id)).revision).toBe(2);
  });

  it('a class begins with the sections that were chosen', async () => {
    const made = await addClass(who, { from: 'nothing', title: 'Four', sections: ['welcome', 'main', 'closing'] });
    expect(made.plan.sections.map(({ title }) => title)).toEqual(['Welcome', 'Main set', 'Closing']);
  });
});

describe('the picture or clip of a movement', () => {
  const upload = (bytes: Uint8Array): Request =>
    new Request('http://localhost/', { method: 'PUT', body: new Uint8Array(bytes) });
  const stored = async (id: string): Promise<Uint8Array> => {
    const answer = await movementMediaFile(who, id);
    return new Uint8Array(await answer.arrayBuffer());
  };
  const somewhere = { GPSLatitudeRef: 'N', GPSLatitude: '54/1 30/1 0/1', GPSLongitudeRef: 'E', GPSLongitude: '10/1' };

  it('is kept upright and without the place where it was taken', async () => {
    const { id } = itemAt(await library(who), 0);
    const photo = await sharp({ create: { width: 400, height: 200, channels: 3, background: '#2d5a4d' } })
      .withExif({ IFD0: { Model: 'A camera' }, IFD3: somewhere })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(photo).metadata()).orientation).toBe(6);
    const media = await setMovementMedia(who, id, upload(photo));
    expect(media.contentType).toBe('image/webp');
    const kept = await stored(id);
    const told = await sharp(kept).metadata();
    expect(told).toMatchObject({ width: 200, height: 400, format: 'webp' });
    expect(told.exif ?? told.xmp ?? told.iptc).toBeUndefined();
    expect((await library(who)).find((entry) => entry.id === id)?.media).toEqual(media);
    expect(await movementPictures(who)).toEqual({ [id]: media });
  });

  it('strips what a photo says of its place: Debian’s own reader finds none', async () => {
    const { id } = itemAt(await library(who), 0);
    const photo = await sharp({ create: { width: 64, height: 64, channels: 3, background: '#943c1d' } })
      .withExif({ IFD0: { Model: 'A camera' }, IFD3: somewhere })
      .jpeg()
      .toBuffer();
    // EXIF is kept in the file that is sent: the test would find it there.
    expect(Buffer.from(photo).includes('A camera')).toBe(true);
    await setMovementMedia(who, id, upload(photo));
    expect(Buffer.from(await stored(id)).includes('A camera')).toBe(false);
  });

  it('a clip is known by its content, and loses its place too (ffmpeg makes and reads it)', async () => {
    const { id } = itemAt(await library(who), 1);
    const file = join(folder, 'clip.mp4');
    const made = spawnSync('ffmpeg', [
      '-loglevel', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc=size=160x120:rate=10:duration=2', '-pix_fmt', 'yuv420p',
      '-metadata', 'location=+54.5000+010.0000/', '-metadata', 'title=At the pier', '-movflags', 'use_metadata_tags', file,
    ]); // prettier-ignore
    expect(made.status, String(made.stderr)).toBe(0);
    const sent = readFileSync(file);
    expect(sent.includes('+54.5000')).toBe(true);
    const media = await setMovementMedia(who, id, upload(sent));
    expect(media.contentType).toBe('video/mp4');
    const kept = Buffer.from(await stored(id));
    expect(kept.includes('+54.5000')).toBe(false);
    expect(kept.includes('At the pier')).toBe(false);
    const copy = join(folder, 'kept.mp4');
    writeFileSync(copy, kept);
    const probe = spawnSync('ffprobe', [
      '-v',
      'error',
      '-show_entries',
      'format=duration:stream=codec_type,width',
      '-of',
      'json',
      copy,
    ]);
    const read = JSON.parse(String(probe.stdout)) as { format: { duration: string }; streams: { width: number }[] };
    expect(Number(read.format.duration)).toBeCloseTo(2, 1);
    expect(itemAt(read.streams, 0).width).toBe(160);
  });

  it('is refused where it is neither, too large or too long, and then the one before stays', async () => {
    const { id } = itemAt(await library(who), 0);
    const before = await stored(id);
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>');
    const cases: readonly (readonly [Uint8Array, string])[] = [
      [new Uint8Array(0), 'bad-media'],
      [svg, 'bad-media'],
      [Buffer.from('GIF89a not really'), 'bad-media'],
      [Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]), 'bad-media'],
      [new Uint8Array(5 * 1024 * 1024 + 1), 'media-too-large'],
    ];
    for (const [bytes, code] of cases)
      expect((await refusal(setMovementMedia(who, id, upload(bytes)))).code).toBe(code);
    expect(await stored(id)).toEqual(before);
    expect((await refusal(setMovementMedia(other, id, upload(svg)))).code).toBe('no-movement');
    expect((await refusal(movementMediaFile(other, id))).code).toBe('no-media');
  });

  it('goes with its bytes when its movement is deleted for good', async () => {
    const movement = (await openMovement(who, itemAt(await library(who), 0).id)).movement;
    const made = await addMovement(who, asSent('new-movement', { movement: { ...movement, name: 'Gone soon' } }));
    const photo = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#943c1d' } })
      .png()
      .toBuffer();
    const count = async (): Promise<unknown> =>
      itemAt((await database.db.execute(sql`select count(*)::int as count from stored_files`)).rows, 0).count;
    const before = await count();
    await setMovementMedia(who, made.id, upload(photo));
    expect(await count()).toBe(Number(before) + 1);
    await removeMovement(who, made.id, true);
    await emptyBin(who.db, who.studio.id, new Date(Date.now() + 60_000));
    expect(await count()).toBe(before);
  });

  it('is taken away with its bytes', async () => {
    const { id } = itemAt(await library(who), 0);
    await dropMovementMedia(who, id);
    await dropMovementMedia(who, id);
    expect((await refusal(movementMediaFile(who, id))).code).toBe('no-media');
    const { count } = itemAt((await database.db.execute(sql`select count(*)::int as count from stored_files`)).rows, 0);
    expect(count).toBe(1);
  });
});
