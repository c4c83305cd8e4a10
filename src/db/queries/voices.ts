import { firstItems } from '@/core/units';
import { and, desc, eq } from 'drizzle-orm';
import type { VoiceSource } from '@/core/voice';
import type { Database } from '../database';
import { voiceMeasures } from '../schema';

export interface VoiceRow {
  readonly id: string;
  readonly syllablesPerMinute: number;
  readonly pauseSeconds: number | null;
  readonly how: VoiceSource;
  readonly createdAt: Date;
}

const columns = {
  id: voiceMeasures.id,
  syllablesPerMinute: voiceMeasures.syllablesPerMinute,
  pauseSeconds: voiceMeasures.pauseSeconds,
  how: voiceMeasures.how,
  createdAt: voiceMeasures.createdAt,
};

/** A studio's measures, the newest first. */
export async function listVoices(db: Database, studioId: string): Promise<VoiceRow[]> {
  return db
    .select(columns)
    .from(voiceMeasures)
    .where(eq(voiceMeasures.studioId, studioId))
    .orderBy(desc(voiceMeasures.createdAt));
}

export async function insertVoice(
  db: Database,
  studioId: string,
  measure: Omit<VoiceRow, 'id' | 'createdAt'>,
): Promise<VoiceRow> {
  const [made] = firstItems(
    await db
      .insert(voiceMeasures)
      .values({ studioId, ...measure })
      .returning(columns),
    1,
  );
  return made;
}

/** Whether there was such a measure. */
export async function deleteVoice(db: Database, studioId: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(voiceMeasures)
    .where(and(eq(voiceMeasures.studioId, studioId), eq(voiceMeasures.id, id)))
    .returning({ id: voiceMeasures.id });
  return gone.length > 0;
}
