import { itemAt } from '@/core/units';
import { UUID } from '@/api/saves';
import {
  dropPiecesFrom,
  dropStraySounds,
  keepPiece,
  listPieces,
  pieceSizes,
  readPieces,
  type SoundPiece,
} from '@/db/queries/sounds';
import { Refusal } from './refusal';
import type { Asking } from './studio';
import { openTake } from './takes';

const PIECE_BYTES = 512 * 1024;
const PIECES = 1000;
/** A sound that no take has got by then was given up half-way. */
const STRAY_DAYS = 7;

/** Which pieces of a sound are kept already, so that sending it can go on where it broke off. */
export function piecesOf({ db, studio }: Asking, soundId: string): Promise<SoundPiece[]> {
  return UUID.test(soundId) ? listPieces(db, studio.id, soundId) : Promise.resolve([]);
}

/** Keeps one piece; the same piece may be sent again. @throws Refusal 422 when it is out of bounds. */
export async function keepSoundPiece(
  { db, studio }: Asking,
  soundId: string,
  piece: string,
  request: Request,
): Promise<void> {
  const place = placeOf(soundId, piece);
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length === 0 || bytes.length > PIECE_BYTES) throw new Refusal(422, 'bad-piece');
  if (place === 0) await dropStraySounds(db, studio.id, new Date(Date.now() - STRAY_DAYS * 86_400_000));
  await keepPiece(db, studio.id, soundId, place, bytes);
}

/** The sound ends before a piece: it and all that follow go. @throws Refusal 422 when it is out of bounds. */
export async function endSound({ db, studio }: Asking, soundId: string, piece: string): Promise<void> {
  await dropPiecesFrom(db, studio.id, soundId, placeOf(soundId, piece));
}

function placeOf(soundId: string, piece: string): number {
  const place = /^\d{1,4}$/.test(piece) ? Number(piece) : PIECES;
  if (!UUID.test(soundId) || place >= PIECES) throw new Refusal(422, 'bad-piece');
  return place;
}

/** The sound of a take, whole or the range asked for (RFC 9110, one range). @throws Refusal 404. */
export async function soundOfTake(who: Asking, takeId: string, range: string | null): Promise<Response> {
  const { soundId } = await openTake(who, takeId);
  const sizes = soundId === null ? [] : await pieceSizes(who.db, who.studio.id, soundId);
  if (soundId === null || sizes.length === 0) throw new Refusal(404, 'no-sound');
  const size = sizes.reduce((sum, one) => sum + one, 0);
  const asked = rangeOf(range, size);
  const headers = { 'accept-ranges': 'bytes', 'content-type': 'audio/ogg', 'cache-control': 'private, max-age=3600' };
  if (asked === 'outside') {
    return new Response(null, { status: 416, headers: { ...headers, 'content-range': `bytes */${size}` } });
  }
  const { from, to } = asked ?? { from: 0, to: size - 1 };
  const bytes = await bytesBetween(who, soundId, sizes, from, to);
  if (!asked) return new Response(bytes, { headers });
  return new Response(bytes, { status: 206, headers: { ...headers, 'content-range': `bytes ${from}-${to}/${size}` } });
}

/** `null` where no range, or one that cannot be read, was asked for: then the whole is sent. */
function rangeOf(range: string | null, size: number): { from: number; to: number } | 'outside' | null {
  const [, first, last] = /^bytes=(\d{0,15})-(\d{0,15})$/.exec(range ?? '') ?? [];
  if (first === undefined || (first === '' && last === '')) return null;
  if (first === '') return Number(last) === 0 ? 'outside' : { from: Math.max(0, size - Number(last)), to: size - 1 };
  const to = last === '' ? size - 1 : Math.min(size - 1, Number(last));
  return Number(first) >= size || Number(first) > to ? 'outside' : { from: Number(first), to };
}

async function bytesBetween(
  { db, studio }: Asking,
  soundId: string,
  sizes: readonly number[],
  from: number,
  to: number,
): Promise<Uint8Array<ArrayBuffer>> {
  let start = 0;
  let first = 0;
  while (first < sizes.length - 1 && start + itemAt(sizes, first) <= from) start += itemAt(sizes, first++);
  let last = first;
  for (let end = start + itemAt(sizes, first); end <= to && last < sizes.length - 1; end += itemAt(sizes, last)) last++;
  const pieces = await readPieces(db, studio.id, soundId, first, last);
  return new Uint8Array(Buffer.concat(pieces).subarray(from - start, to + 1 - start));
}
