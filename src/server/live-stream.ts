import { openDatabase } from '@/db/database';
import { eventsAfter, liveSnapshot, type StoredLive } from '@/db/queries/lives';
import { watchLive, type NumberedEvent } from './live-feed';

/*
 * A live class as server-sent events (WHATWG HTML, section 9.2): each carries its number as its id, so that a browser
 * that comes back says by itself what it has. First how things stand, or what was missed; then what happens.
 */

/** A stream that missed more than this is told how things stand instead. */
const MISSED_AT_MOST = 200;
const HEARTBEAT_MILLISECONDS = 15_000;
/** Streams of one server; what comes beyond is asked to come again, where another server may answer. */
const STREAMS_AT_MOST = 2_000;
/** A reader that takes nothing up holds so many pieces; then it is let go, and comes back by itself. */
const WAITING_AT_MOST = 256;
const COME_BACK_MILLISECONDS = 1_000;

const open = new Set<() => void>();

/** Ends every stream, so that a server can stop; browsers come back to another. */
function endStreams(): void {
  for (const end of [...open]) end();
}
process.once('SIGTERM', endStreams);
process.once('SIGINT', endStreams);

/** Whether another stream finds room here. */
export function hasRoom(): boolean {
  return open.size < STREAMS_AT_MOST;
}

/**
 * The events of one live class after a number (`null`: from how things stand). Presses of a paired phone are for those
 * alone who may lead. Ends with an `over` when the live class is.
 */
export function liveStream(live: StoredLive, mayLead: boolean, after: number | null): ReadableStream<Uint8Array> {
  let stop: () => void = () => undefined;
  return new ReadableStream<Uint8Array>(
    {
      start: (controller) => {
        stop = stream(live, mayLead, after, controller);
      },
      cancel: () => stop(),
    },
    new CountQueuingStrategy({ highWaterMark: WAITING_AT_MOST }),
  );
}

/** Writes a stream; gives back what ends it. */
function stream(
  live: StoredLive,
  mayLead: boolean,
  after: number | null,
  controller: ReadableStreamDefaultController<Uint8Array>,
): () => void {
  const encoder = new TextEncoder();
  let done = false;
  const write = (text: string): void => {
    if (done) return;
    if ((controller.desiredSize ?? 0) <= 0) return end();
    controller.enqueue(encoder.encode(text));
  };
  const over = (): void => {
    write('event: over\ndata: {}\n\n');
    end();
  };
  /** The number reached; `null` until it is known how things stand. What is told before that waits. */
  let last: number | null = null;
  const waiting: NumberedEvent[] = [];
  const told = (events: readonly NumberedEvent[]): void => {
    if (last === null) return void waiting.push(...events);
    for (const { number, event } of events) {
      if (number <= last) continue;
      last = number;
      if (mayLead || event.kind !== 'command') write(message(number, 'event', event));
    }
  };
  const forget = watchLive(live, { told, over });
  const beat = setInterval(() => write(': still here\n\n'), HEARTBEAT_MILLISECONDS);
  const end = (): void => {
    if (done) return;
    done = true;
    clearInterval(beat);
    forget();
    open.delete(end);
    try {
      controller.close();
    } catch {
      // The reader has gone already.
    }
  };
  open.add(end);
  write(`retry: ${COME_BACK_MILLISECONDS}\n\n`);
  begin(live, after).then(
    (first) => {
      if ('stands' in first) write(message(first.number, 'stands', first.stands));
      last = first.number;
      told('missed' in first ? first.missed : []);
      told(waiting.splice(0));
    },
    // The browser comes back by itself.
    () => end(),
  );
  return end;
}

/** What a stream begins with: what it missed, or how things stand. */
async function begin(
  live: StoredLive,
  after: number | null,
): Promise<
  | { readonly number: number; readonly missed: readonly NumberedEvent[] }
  | { readonly number: number; readonly stands: object }
> {
  const db = openDatabase();
  if (after !== null && after <= live.lastNumber) {
    const missed = await eventsAfter(db, live.id, after, MISSED_AT_MOST + 1);
    if (missed.length <= MISSED_AT_MOST) return { number: after, missed };
  }
  const snapshot = await liveSnapshot(db, live.id);
  if (!snapshot) throw new Error('live-stream: it was forgotten meanwhile');
  const { number, ...stands } = snapshot;
  return { number, stands };
}

function message(number: number, kind: 'stands' | 'event', data: object): string {
  return `id: ${number}\nevent: ${kind}\ndata: ${JSON.stringify(data)}\n\n`;
}
