import { and, asc, eq, gte, lt, lte, notExists, sql } from 'drizzle-orm';
import type { Database } from '../database';
import { soundPieces, sounds, takes } from '../schema';

/** A piece of a sound without its bytes. */
export interface SoundPiece {
  readonly piece: number;
  readonly size: number;
  /** SHA-256 in hex. */
  readonly print: string;
}

export async function listPieces(db: Database, studioId: string, soundId: string): Promise<SoundPiece[]> {
  return db
    .select({
      piece: soundPieces.piece,
      size: sql<number>`octet_length(${soundPieces.bytes})`,
      print: sql<string>`encode(sha256(${soundPieces.bytes}), 'hex')`,
    })
    .from(soundPieces)
    .where(and(eq(soundPieces.studioId, studioId), eq(soundPieces.soundId, soundId)))
    .orderBy(asc(soundPieces.piece));
}

/** The sizes of all pieces, in order. */
export async function pieceSizes(db: Database, studioId: string, soundId: string): Promise<number[]> {
  const found = await db
    .select({ size: sql<number>`octet_length(${soundPieces.bytes})` })
    .from(soundPieces)
    .where(and(eq(soundPieces.studioId, studioId), eq(soundPieces.soundId, soundId)))
    .orderBy(asc(soundPieces.piece));
  return found.map(({ size }) => size);
}

/** The bytes of pieces `first` to `last`, both included, in order. */
export async function readPieces(
  db: Database,
  studioId: string,
  soundId: string,
  first: number,
  last: number,
): Promise<Uint8Array[]> {
  const found = await db
    .select({ bytes: soundPieces.bytes })
    .from(soundPieces)
    .where(
      and(
        eq(soundPieces.studioId, studioId),
        eq(soundPieces.soundId, soundId),
        gte(soundPieces.piece, first),
        lte(soundPieces.piece, last),
      ),
    )
    .orderBy(asc(soundPieces.piece));
  return found.map(({ bytes }) => bytes);
}

/** Keeps a piece, in the place of one that was there under its number. */
export async function keepPiece(
  db: Database,
  studioId: string,
  soundId: string,
  piece: number,
  bytes: Uint8Array,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.insert(sounds).values({ studioId, id: soundId }).onConflictDoNothing();
    await tx
      .insert(soundPieces)
      .values({ studioId, soundId, piece, bytes })
      .onConflictDoUpdate({ target: [soundPieces.studioId, soundPieces.soundId, soundPieces.piece], set: { bytes } });
  });
}

/** Drops a piece and all that follow it. */
export async function dropPiecesFrom(db: Database, studioId: string, soundId: string, piece: number): Promise<void> {
  await db
    .delete(soundPieces)
    .where(and(eq(soundPieces.studioId, studioId), eq(soundPieces.soundId, soundId), gte(soundPieces.piece, piece)));
}

/** Throws away a studio's sounds that no take has and that were begun before a time: readings that were never ended. */
export async function dropStraySounds(db: Database, studioId: string, begunBefore: Date): Promise<number> {
  const taken = db
    .select({ one: sql`1` })
    .from(takes)
    .where(and(eq(takes.studioId, sounds.studioId), eq(takes.soundId, sounds.id)));
  const gone = await db
    .delete(sounds)
    .where(and(eq(sounds.studioId, studioId), lt(sounds.createdAt, begunBefore), notExists(taken)))
    .returning({ id: sounds.id });
  return gone.length;
}
