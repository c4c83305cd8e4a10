import { UUID } from '@/api/saves';
import { VOICE_MEASURES_AT_MOST, type KeptVoice } from '@/api/voice';
import { middleVoice, type UsedVoice, type VoiceSource } from '@/core/voice';
import { deleteVoice, insertVoice, listVoices, type VoiceRow } from '@/db/queries/voices';
import { Refusal } from './refusal';
import type { Asking } from './studio';

const kept = ({ createdAt, ...row }: VoiceRow): KeptVoice => ({ ...row, at: createdAt.toISOString() });

/** What was measured of the studio's voice, the newest first. */
export async function voices({ db, studio }: Asking): Promise<KeptVoice[]> {
  return (await listVoices(db, studio.id)).map(kept);
}

/** The studio's voice, the middle of what was measured; `null` before anything was. */
export async function studioVoice(who: Asking): Promise<UsedVoice | null> {
  return middleVoice(await voices(who));
}

interface NewVoice {
  readonly syllablesPerMinute: number;
  readonly pauseSeconds: number | null;
  readonly how: VoiceSource;
}

/** Keeps a measure. @throws Refusal 409 when there are as many as are kept. */
export async function keepVoice(who: Asking, measure: NewVoice): Promise<KeptVoice> {
  if ((await voices(who)).length >= VOICE_MEASURES_AT_MOST) throw new Refusal(409, 'too-many-voices');
  return kept(await insertVoice(who.db, who.studio.id, measure));
}

/** @throws Refusal 404. */
export async function dropVoice({ db, studio }: Asking, id: string): Promise<void> {
  if (!UUID.test(id) || !(await deleteVoice(db, studio.id, id))) throw new Refusal(404, 'no-voice');
}
