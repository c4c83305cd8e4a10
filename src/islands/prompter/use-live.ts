import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { send as ask } from '@/api/client';
import type { LiveCodes } from '@/api/live';
import type { DoneEvent, Performance, Performed } from '@/core/conductor';
import { COMMAND_MILLISECONDS, eventOfCommand, shownClass, standingOf, type LiveEvent } from '@/core/live';
import { hearLive } from '../live/live-events';
import { SharedClock } from '../live/shared-clock';
import { clockSeconds } from '../live/steady-clock';
import { LiveSender, type SenderState } from './live-sender';

/** How a class is shown to others. */
export interface Live {
  /** `null` while it is not shown. */
  readonly codes: LiveCodes | null;
  readonly state: SenderState;
  /** Why it could not be begun; empty where nothing is wrong. */
  readonly trouble: string;
  /** Whether another prompter shows this class, which this one may take over. */
  readonly another: boolean;
  readonly start: (take: boolean) => Promise<void>;
  readonly end: () => Promise<void>;
}

interface Kept {
  readonly codes: LiveCodes;
  readonly leader: string;
}

const nameOf = (classId: string): string => `live/${classId}`;

/** What this tab shows already: it goes on with it after a reload, and another tab does not. */
function kept(classId: string): Kept | null {
  try {
    const found = JSON.parse(sessionStorage.getItem(nameOf(classId)) ?? 'null') as Kept | null;
    return found && Date.parse(found.codes.expiresAt) > Date.now() ? found : null;
  } catch {
    return null;
  }
}

function keep(classId: string, live: Kept | null): void {
  try {
    if (live) sessionStorage.setItem(nameOf(classId), JSON.stringify(live));
    else sessionStorage.removeItem(nameOf(classId));
  } catch {
    // A browser that keeps nothing shows it until the page is left.
  }
}

interface Shown {
  readonly classId: string;
  readonly performed: Performed;
  readonly state: Performance;
  /** A press on a paired phone, as an event of the prompter. */
  readonly press: (kind: DoneEvent['kind']) => void;
}

/** Shows a performance to others while it runs; the prompter never waits for it. */
export function useLive({ classId, performed, state, press }: Shown): Live {
  const [live, setLive] = useState<Kept | null>(() => kept(classId));
  const [sending, setSending] = useState<SenderState>('told');
  const [trouble, setTrouble] = useState('');
  const [another, setAnother] = useState(false);
  const over = useCallback(
    (next: SenderState): void => {
      setSending((now) => (now === 'another' ? now : next));
      if (next === 'over') keep(classId, null);
    },
    [classId],
  );
  const sender = useSender(classId, live, over, { state, press });
  const shown = useMemo(() => (live ? shownClass(performed.plan, performed.timeline) : null), [live, performed]);
  const told = useRef<typeof shown>(null);
  useEffect(() => {
    if (!live || !shown) return;
    if (told.current !== shown) sender.current?.tell({ kind: 'shown', shown });
    told.current = shown;
    // A page that was loaded again has not begun, and waits to be resumed; those who follow go on meanwhile.
    if (state.mode === 'ready') return;
    const steady = clockSeconds();
    const { at: _, ...standing } = standingOf(state, performed.timeline, { steady, shared: 0 });
    sender.current?.tell({ kind: 'standing', standing, steady });
  }, [live, shown, state, performed, sender]);
  const given = useRef(performed);
  useEffect(() => {
    given.current = performed;
  }, [performed]);
  const start = useCallback(
    async (take: boolean): Promise<void> => {
      setTrouble('');
      const leader = kept(classId)?.leader ?? crypto.randomUUID();
      const { plan, timeline } = given.current;
      const body = { leader, shown: shownClass(plan, timeline), take };
      const answer = await ask<LiveCodes>('POST', `/api/classes/${classId}/live`, body);
      setAnother(!answer.ok && answer.status === 409);
      if (!answer.ok) return setTrouble(answer.problem.detail);
      const next = { codes: answer.value, leader };
      keep(classId, next);
      told.current = null;
      setSending('told');
      setLive(next);
    },
    [classId],
  );
  const end = useCallback(async (): Promise<void> => {
    const answer = await ask('DELETE', `/api/classes/${classId}/live`);
    if (!answer.ok) return setTrouble(answer.problem.detail);
    keep(classId, null);
    setLive(null);
  }, [classId]);
  return { codes: live?.codes ?? null, state: sending, trouble, another, start, end };
}

/** What tells the server, while a class is shown; and hears presses of a paired phone. */
function useSender(
  classId: string,
  live: Kept | null,
  onState: (state: SenderState) => void,
  now: Pick<Shown, 'state' | 'press'>,
): RefObject<LiveSender | null> {
  const sender = useRef<LiveSender | null>(null);
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  });
  useEffect(() => {
    if (!live) return undefined;
    const clock = new SharedClock(live.codes.code, () => sender.current?.hurry());
    const telling = new LiveSender(classId, live.leader, {
      ahead: () => clock.ahead(),
      state: (next) => {
        onState(next);
        if (next === 'away' && clock.ahead() === null) void clock.ask();
      },
    });
    sender.current = telling;
    clock.start();
    const stop = hearLive(live.codes.remoteCode, null, {
      stands: () => undefined,
      event: (event) => {
        const kind = pressed(event, clock.now(), latest.current.state);
        if (kind) latest.current.press(kind);
      },
      link: () => undefined,
      over: () => onState('over'),
    });
    const online = (): void => telling.hurry();
    addEventListener('online', online);
    return () => {
      removeEventListener('online', online);
      stop();
      telling.stop();
      clock.stop();
      if (sender.current === telling) sender.current = null;
    };
  }, [classId, live, onState]);
  return sender;
}

/** The event that a press is, where it comes in time and does anything. */
function pressed(event: LiveEvent, now: number | null, state: Performance): DoneEvent['kind'] | null {
  if (event.kind !== 'command' || now === null || now - event.at > COMMAND_MILLISECONDS) return null;
  return eventOfCommand(event.command, state);
}
