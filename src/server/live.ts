import { randomInt } from 'node:crypto';
import { CODE_LENGTHS, CODE_LETTERS, asCode, type LiveCodes, type LiveResponse, type SentEvents } from '@/api/live';
import { UUID } from '@/api/saves';
import type { Command, LiveEvent, ShownClass } from '@/core/live';
import { takenAs } from '@/core/units';
import { openDatabase } from '@/db/database';
import {
  appendEvents,
  findLive,
  forgetLives,
  holdClass,
  insertLive,
  liveSnapshot,
  revokeLives,
  runningLive,
  setExpiry,
  setLeader,
  sharedClock,
  type StoredLive,
} from '@/db/queries/lives';
import { hasRoom, liveStream } from './live-stream';
import { Refusal } from './refusal';
import type { Asking } from './studio';

const HOUR = 3_600_000;
/** Codes are good for so long from the last sign that the class runs; the longest class has four hours. */
const GOOD_FOR = 6 * HOUR;
/** From the end of a class on those who followed it may read "thank you". */
const AFTER_THE_END = 10 * 60_000;
const FORGOTTEN_AFTER = 24 * HOUR;

const newCode = (length: number): string =>
  Array.from({ length }, () => CODE_LETTERS.charAt(randomInt(CODE_LETTERS.length))).join('');
const fromNow = (milliseconds: number): Date => new Date(Date.now() + milliseconds);
const codesOf = ({ code, remoteCode, expiresAt }: StoredLive): LiveCodes => ({
  code,
  remoteCode,
  expiresAt: expiresAt.toISOString(),
});

/**
 * Begins to show a class to others, or goes on with it where it is shown already. @throws Refusal 404, or 409 while
 * another prompter leads it and it was not said to take it over.
 */
export async function startLive(
  { db, studio }: Asking,
  classId: string,
  { leader, shown, take }: { readonly leader: string; readonly shown: ShownClass; readonly take: boolean },
): Promise<LiveCodes> {
  if (!UUID.test(classId)) throw new Refusal(404, 'no-class');
  return db.transaction(async (tx) => {
    if (!(await holdClass(tx, studio.id, classId))) throw new Refusal(404, 'no-class');
    await forgetLives(tx, studio.id, fromNow(-FORGOTTEN_AFTER));
    const expiresAt = fromNow(GOOD_FOR);
    const before = await runningLive(tx, studio.id, classId);
    if (before && before.leader !== leader && !take) throw new Refusal(409, 'another-leads');
    if (before) {
      await setLeader(tx, before.id, leader, expiresAt);
      return codesOf({ ...before, expiresAt });
    }
    const codes = { code: newCode(CODE_LENGTHS.follow), remoteCode: newCode(CODE_LENGTHS.remote) };
    return codesOf(await insertLive(tx, { studioId: studio.id, classId, ...codes, leader, shown, expiresAt }));
  });
}

/** Ends it: its codes open nothing any more. One that is over already stays so. */
export async function endLive({ db, studio }: Asking, classId: string): Promise<void> {
  if (UUID.test(classId)) await revokeLives(db, studio.id, classId);
}

/** Takes what the prompter did. @throws Refusal 409 when another prompter leads, or 410 when it is over. */
export async function leadLive(
  { db, studio }: Asking,
  classId: string,
  leader: string,
  events: SentEvents,
): Promise<{ readonly number: number }> {
  const live = UUID.test(classId) ? await runningLive(db, studio.id, classId) : null;
  const told = events.map(({ id, standing, shown }) => ({
    id,
    event: takenAs<LiveEvent>(shown ? { kind: 'shown', shown } : { kind: 'standing', standing }),
  }));
  if (!live) throw new Refusal(410, 'live-over');
  const number = await appendEvents(db, live, told, leader);
  if (number === null) {
    const now = await runningLive(db, studio.id, classId);
    throw now && now.leader !== leader ? new Refusal(409, 'another-leads') : new Refusal(410, 'live-over');
  }
  const last = events.findLast(({ standing }) => standing)?.standing;
  if (last?.mode === 'done') await setExpiry(db, live.id, fromNow(AFTER_THE_END), true);
  else if (last?.mode === 'running') await setExpiry(db, live.id, fromNow(GOOD_FOR), false);
  return { number };
}

/** The live class of a code. @throws Refusal 404 for none, 410 for one that is over. */
async function byCode(typed: string): Promise<{ readonly live: StoredLive; readonly mayLead: boolean }> {
  const code = asCode(typed);
  const live = code === null ? null : await findLive(openDatabase(), code);
  if (!live) throw new Refusal(404, 'no-live');
  if (live.isOver) throw new Refusal(410, 'live-over');
  return { live, mayLead: live.remoteCode === code };
}

/** What a page that looks on begins with. @throws Refusal as `byCode`. */
export async function openLive(typed: string): Promise<LiveResponse> {
  const { live, mayLead } = await byCode(typed);
  const snapshot = await liveSnapshot(openDatabase(), live.id);
  if (!snapshot) throw new Refusal(404, 'no-live');
  return { code: mayLead ? live.remoteCode : live.code, mayLead, ...snapshot };
}

/** The same for a phone that moves the class on. @throws Refusal as `byCode`, and 403 for a code that only looks on. */
export async function openRemote(typed: string): Promise<LiveResponse> {
  const live = await openLive(typed);
  if (!live.mayLead) throw new Refusal(403, 'looks-on');
  return live;
}

/** Presses a button of the prompter from afar. @throws Refusal as `byCode`, and 403 for a code that only looks on. */
export async function pressLive(
  typed: string,
  { id, command, at }: { readonly id: string; readonly command: Command; readonly at: number },
): Promise<{ readonly number: number }> {
  const { live, mayLead } = await byCode(typed);
  if (!mayLead) throw new Refusal(403, 'looks-on');
  const number = await appendEvents(openDatabase(), live, [{ id, event: { kind: 'command', command, at } }]);
  if (number === null) throw new Refusal(410, 'live-over');
  return { number };
}

/** Its events, from a number on or from how things stand. @throws Refusal as `byCode`, and 503 when there is no room. */
export async function followLive(typed: string, after: string | null): Promise<Response> {
  const { live, mayLead } = await byCode(typed);
  if (!hasRoom()) throw new Refusal(503, 'busy');
  const number = after !== null && /^\d{1,9}$/.test(after) ? Number(after) : null;
  return new Response(liveStream(live, mayLead, number), {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Not packed on the way: what is packed is held back.
      'cache-control': 'no-store, no-transform',
    },
  });
}

/** The clock that all servers share. @throws Refusal as `byCode`. */
export async function clockOf(typed: string): Promise<{ readonly now: number }> {
  await byCode(typed);
  return { now: await sharedClock(openDatabase()) };
}
