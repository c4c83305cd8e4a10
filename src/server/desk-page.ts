import { LRUCache } from 'lru-cache';
import { UUID } from '@/api/saves';
import { findDeskMarks } from '@/db/queries/desk-marks';
import { keptClassJson } from './classes';
import { library } from './movements';
import { Refusal } from './refusal';
import type { Asking } from './studio';
import { spelling } from './terms';
import { studioVoice } from './voice';

/** What a desk is given: its class, and what of the studio it needs, each as the JSON that it is kept as. */
export interface DeskPageData {
  readonly title: string;
  readonly takes: number;
  readonly stored: string;
  readonly studio: string;
}

/** Studios whose part of a desk is kept; a change in the studio is another mark, and the older one is forgotten. */
const studios = new LRUCache<string, string>({ maxSize: 16 * 1024 * 1024, sizeCalculation: (json) => json.length + 1 });

/** @throws Refusal 404. */
export async function deskPage(who: Asking, id: string): Promise<DeskPageData> {
  const marks = UUID.test(id) ? await findDeskMarks(who.db, who.studio.id, id) : null;
  if (!marks) throw new Refusal(404, 'no-class');
  const { title, takes, revision, studioMark } = marks;
  const [stored, studio] = await Promise.all([
    keptClassJson(who, id, revision),
    keptStudioJson(who, `${who.studio.id} ${studioMark}`),
  ]);
  return { title, takes, stored, studio };
}

async function keptStudioJson(who: Asking, mark: string): Promise<string> {
  const known = studios.get(mark);
  if (known !== undefined) return known;
  const [movements, voice, spelled] = await Promise.all([library(who), studioVoice(who), spelling(who)]);
  const json = JSON.stringify({ studio: who.studio.name, library: movements, settings: { voice, spelling: spelled } });
  studios.set(mark, json);
  return json;
}
