import type { LiveEvent } from '@/core/live';
import { openDatabase } from '@/db/database';
import { eventsAfter, isLiveOver, type StoredLive } from '@/db/queries/lives';
import { onNews } from './live-news';

/*
 * What happens in a live class, read once for all who look on through this server.
 */

export interface NumberedEvent {
  readonly number: number;
  readonly event: LiveEvent;
}

export interface Watcher {
  /** New events in order; some of them may be known already. */
  readonly told: (events: readonly NumberedEvent[]) => void;
  readonly over: () => void;
}

interface Feed {
  readonly watchers: Set<Watcher>;
  readonly forget: () => void;
}

const AT_ONCE = 200;
const feeds = new Map<string, Feed>();

/** Tells a watcher what happens from now on, until what is given back is called. */
export function watchLive(live: StoredLive, watcher: Watcher): () => void {
  const feed = feeds.get(live.id) ?? openFeed(live);
  feed.watchers.add(watcher);
  return () => {
    feed.watchers.delete(watcher);
    if (feed.watchers.size > 0 || feeds.get(live.id) !== feed) return;
    feeds.delete(live.id);
    feed.forget();
  };
}

function openFeed({ id, lastNumber }: StoredLive): Feed {
  const watchers = new Set<Watcher>();
  let last = lastNumber;
  const readOn = async (): Promise<void> => {
    const db = openDatabase();
    for (;;) {
      const events = await eventsAfter(db, id, last, AT_ONCE);
      last = events.at(-1)?.number ?? last;
      if (events.length > 0) for (const watcher of [...watchers]) watcher.told(events);
      if (events.length < AT_ONCE) break;
    }
    if (await isLiveOver(db, id)) for (const watcher of [...watchers]) watcher.over();
  };
  const feed = { watchers, forget: onNews(id, oneAtATime(readOn)) };
  feeds.set(id, feed);
  return feed;
}

/** Runs work once more after it where it was asked for meanwhile. What fails (a database that is away) is asked later. */
function oneAtATime(work: () => Promise<void>): () => void {
  let running = false;
  let again = false;
  const run = async (): Promise<void> => {
    running = true;
    do {
      again = false;
      await work().catch(() => undefined);
    } while (again);
    running = false;
  };
  return () => {
    again = true;
    if (!running) void run();
  };
}
