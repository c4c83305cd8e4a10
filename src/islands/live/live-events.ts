import { send } from '@/api/client';
import type { LiveResponse, LiveSnapshot } from '@/api/live';
import type { LiveEvent } from '@/core/live';

export interface LiveListener {
  /** How things stand: at first, and after too much was missed. */
  readonly stands: (snapshot: LiveSnapshot) => void;
  readonly event: (event: LiveEvent) => void;
  /** Whether news come in at the moment. */
  readonly link: (open: boolean) => void;
  /** It was ended, or its code is not good any more. */
  readonly over: () => void;
}

const AGAIN_MILLISECONDS = 2_000;

/** Hears what happens in a live class after a number, however often the way there is lost; gives back how to stop. */
export function hearLive(code: string, after: number | null, listener: LiveListener): () => void {
  let last = after;
  let stopped = false;
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = (): void => {
    stopped = true;
    clearTimeout(timer);
    source?.close();
  };
  const over = (): void => {
    stop();
    listener.over();
  };
  const open = (): void => {
    const opened = new EventSource(`/api/live/${code}/events${last === null ? '' : `?after=${last}`}`);
    source = opened;
    const heard = (message: MessageEvent<string>): unknown => {
      last = Number(message.lastEventId);
      return JSON.parse(message.data);
    };
    opened.addEventListener('open', () => listener.link(true));
    opened.addEventListener('stands', (message: MessageEvent<string>) =>
      listener.stands(heard(message) as LiveSnapshot),
    );
    opened.addEventListener('event', (message: MessageEvent<string>) => listener.event(heard(message) as LiveEvent));
    opened.addEventListener('over', over);
    opened.addEventListener('error', () => {
      listener.link(false);
      // A browser comes back by itself from a lost connection, and gives up after an answer that is no stream.
      if (opened.readyState !== EventSource.CLOSED || stopped) return;
      timer = setTimeout(() => void again(), AGAIN_MILLISECONDS);
    });
  };
  const again = async (): Promise<void> => {
    const answer = await send<LiveResponse>('GET', `/api/live/${code}`);
    if (stopped) return;
    if (!answer.ok && (answer.status === 404 || answer.status === 410)) over();
    else open();
  };
  open();
  return stop;
}
