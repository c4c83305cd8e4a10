import { Client } from 'pg';
import { LIVE_CHANNEL } from '@/db/queries/lives';
import { log } from './log.mjs';

/*
 * News of live classes for this server: one connection to the database listens for all of them. It is tied to the
 * server that writes; when it is lost another is opened, and everybody is told to look for themselves, since what was
 * told meanwhile was not heard.
 */

type Listener = () => void;

const AGAIN_MILLISECONDS = 1_000;
/** A notice that got lost is made good by then; a live class that runs out is seen by then. */
const LOOK_MILLISECONDS = 15_000;

const listeners = new Map<string, Set<Listener>>();
let client: Client | null = null;
let looking: ReturnType<typeof setInterval> | undefined;

/** Calls back whenever there may be something new in a live class, until what it gives back is called. */
export function onNews(liveId: string, listener: Listener): () => void {
  const those = listeners.get(liveId) ?? new Set();
  listeners.set(liveId, those.add(listener));
  if (!client) void listen();
  looking ??= setInterval(tellAll, LOOK_MILLISECONDS);
  return () => {
    those.delete(listener);
    if (those.size === 0) listeners.delete(liveId);
    if (listeners.size === 0) rest();
  };
}

/** Nobody looks on any more. */
function rest(): void {
  clearInterval(looking);
  looking = undefined;
  const ending = client;
  client = null;
  void ending?.end().catch(() => undefined);
}

function tellAll(): void {
  for (const those of listeners.values()) for (const listener of those) listener();
}

async function listen(): Promise<void> {
  const opened = new Client({ connectionString: process.env.DATABASE_URL, keepAlive: true });
  client = opened;
  const lost = (): void => {
    if (client !== opened) return;
    client = null;
    void opened.end().catch(() => undefined);
    setTimeout(() => {
      if (!client && listeners.size > 0) void listen();
    }, AGAIN_MILLISECONDS);
  };
  opened.on('error', lost);
  opened.on('end', lost);
  opened.on('notification', ({ payload = '' }) => {
    for (const listener of listeners.get(payload.split(' ')[0] ?? '') ?? []) listener();
  });
  try {
    await opened.connect();
    await opened.query(`listen ${LIVE_CHANNEL}`);
    tellAll();
  } catch (error) {
    log.warn({ err: error }, 'live classes are not heard of for now');
    lost();
  }
}
