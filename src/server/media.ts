import { randomUUID } from 'node:crypto';
import {
  BufferSource,
  BufferTarget,
  Conversion,
  Input,
  MP4,
  Mp4OutputFormat,
  Output,
  QTFF,
  WEBM,
  WebMOutputFormat,
} from 'mediabunny';
import sharp from 'sharp';
import { MEDIA_BYTES, type MovementMedia } from '@/api/movements';
import { UUID } from '@/api/saves';
import { findMedia, listMedia, setMedia } from '@/db/queries/media';
import { openMovement } from './movements';
import { Refusal } from './refusal';
import { storageOf } from './storage';
import type { Asking } from './studio';

const PIXELS_AT_MOST = 50_000_000;
/** Longest side of a kept picture, in pixels: what a printed page or a tablet shows. */
const SIDE_AT_MOST = 1600;
const CLIP_SECONDS_AT_MOST = 60;
const PICTURES: ReadonlySet<string | undefined> = new Set(['jpeg', 'png', 'webp']);

interface Cleaned {
  readonly contentType: string;
  readonly bytes: Uint8Array;
}

/**
 * A picture or clip as it is kept: known by its content and not by its name, written anew, so that nothing stays of
 * where it was taken, by whom, or with what. `null` where it is neither.
 */
export async function cleanMedia(bytes: Uint8Array): Promise<Cleaned | null> {
  return (await cleanPicture(bytes)) ?? (await cleanClip(bytes));
}

async function cleanPicture(bytes: Uint8Array): Promise<Cleaned | null> {
  try {
    const picture = sharp(bytes, { limitInputPixels: PIXELS_AT_MOST, failOn: 'error' });
    const { format } = await picture.metadata();
    if (!PICTURES.has(format)) return null;
    // Turned as its camera was held, since that is told beside the picture and goes with the rest. Metadata is not kept.
    const kept = await picture
      .rotate()
      .resize({ width: SIDE_AT_MOST, height: SIDE_AT_MOST, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 })
      .toBuffer();
    return { contentType: 'image/webp', bytes: new Uint8Array(kept) };
  } catch {
    return null;
  }
}

/** Its packets put into a new file, without tags. */
async function cleanClip(bytes: Uint8Array): Promise<Cleaned | null> {
  const input = new Input({ source: new BufferSource(bytes), formats: [MP4, QTFF, WEBM] });
  try {
    const webm = (await input.getFormat()) === WEBM;
    const seconds = await input.computeDuration();
    if (!(seconds > 0 && seconds <= CLIP_SECONDS_AT_MOST) || !(await input.getPrimaryVideoTrack())) return null;
    const target = new BufferTarget();
    const output = new Output({ format: webm ? new WebMOutputFormat() : new Mp4OutputFormat(), target });
    const conversion = await Conversion.init({ input, output, tags: {}, showWarnings: false });
    if (!conversion.isValid) return null;
    await conversion.execute();
    if (!target.buffer || target.buffer.byteLength > 2 * MEDIA_BYTES) return null;
    return { contentType: webm ? 'video/webm' : 'video/mp4', bytes: new Uint8Array(target.buffer) };
  } catch {
    return null;
  } finally {
    input.dispose();
  }
}

/** Gives a movement its picture or clip, in place of the one before. @throws Refusal 404, 413 or 422. */
export async function setMovementMedia(who: Asking, movementId: string, request: Request): Promise<MovementMedia> {
  await openMovement(who, movementId);
  if (Number(request.headers.get('content-length') ?? 0) > MEDIA_BYTES) throw new Refusal(413, 'media-too-large');
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.byteLength > MEDIA_BYTES) throw new Refusal(413, 'media-too-large');
  const cleaned = await cleanMedia(bytes);
  if (!cleaned) throw new Refusal(422, 'bad-media');
  const storageKey = randomUUID();
  // All of it or nothing: no bytes without a movement, no movement without its bytes.
  await who.db.transaction(async (db) => {
    const storage = storageOf({ ...who, db });
    const before = await findMedia(db, who.studio.id, movementId);
    await storage.put(storageKey, cleaned.bytes);
    await setMedia(db, who.studio.id, movementId, { contentType: cleaned.contentType, storageKey });
    if (before) await storage.remove(before.storageKey);
  });
  return { contentType: cleaned.contentType, version: storageKey };
}

/** Takes the picture or clip of a movement away. @throws Refusal 404. */
export async function dropMovementMedia(who: Asking, movementId: string): Promise<void> {
  await openMovement(who, movementId);
  await who.db.transaction(async (db) => {
    const before = await findMedia(db, who.studio.id, movementId);
    if (!before) return;
    await setMedia(db, who.studio.id, movementId, null);
    await storageOf({ ...who, db }).remove(before.storageKey);
  });
}

/** The pictures of the studio's movements by movement, for what is printed; clips cannot be. */
export async function movementPictures({ db, studio }: Asking): Promise<Readonly<Record<string, MovementMedia>>> {
  const listed = await listMedia(db, studio.id);
  const pictures = listed.filter(({ contentType }) => contentType.startsWith('image/'));
  return Object.fromEntries(
    pictures.map(({ movementId, contentType, storageKey }) => [movementId, { contentType, version: storageKey }]),
  );
}

/** The picture or clip of a movement. @throws Refusal 404. */
export async function movementMediaFile(who: Asking, movementId: string): Promise<Response> {
  const media = UUID.test(movementId) ? await findMedia(who.db, who.studio.id, movementId) : null;
  const bytes = media ? await storageOf(who).get(media.storageKey) : null;
  if (!media || !bytes) throw new Refusal(404, 'no-media');
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': media.contentType, 'content-length': String(bytes.byteLength) },
  });
}
