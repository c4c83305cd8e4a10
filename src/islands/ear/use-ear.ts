import { useEffect, useRef, useState } from 'react';
import {
  isFollowed,
  LOST_SHARE,
  movesPlace,
  type HeardLine,
  type LoggedEvent,
  type Performance,
} from '@/core/conductor';
import type { Cue } from '@/core/timeline';
import { countWhere, itemAt, type Issue, type Seconds } from '@/core/units';
import type { EarNews } from '@/workers/live-listener/protocol';
import { clockSeconds } from '../live/steady-clock';
import { EarSession } from './ear-session';
import { useMicrophoneOf } from './microphone';

/** What follows the lines by ear, as it is shown. */
export interface Ear {
  readonly state: 'off' | 'preparing' | 'listening';
  /** Of the lines, how many are ready to be heard, 0 to 1. */
  readonly prepared: number;
  readonly loudness: number;
  /** How likely the line shown is the right one, 0 to 1. */
  readonly share: number;
  /** Whether something is said just now, and whether it is something else than the class. */
  readonly isSpeaking: boolean;
  readonly isAside: boolean;
  /** Whether nothing at all has come from the microphone for some time. */
  readonly isSilent: boolean;
  /** Whether what is heard is followed; the clock is, where it is not. */
  readonly isFollowed: boolean;
  /** The line to be said next, by its place among the lines; `null` where that is not known. */
  readonly next: number | null;
  readonly trouble: Issue | null;
}

const OFF: Ear = {
  state: 'off',
  prepared: 0,
  loudness: 0,
  share: 1,
  isSpeaking: false,
  isAside: false,
  isSilent: false,
  isFollowed: true,
  next: null,
  trouble: null,
};

/** Less likely than this, a line is not taken to have been said. */
const HEARD_SHARE = 0.5;
/** A line that began so near is the same, whatever is thought of its beginning. */
const SAME_ONSET: Seconds = 3;
/** Talk is told to be no line after this: half of a long line may be none yet. */
const ASIDE_TOLD: Seconds = 5;
/** A room is louder than this on the scale of the meter: −54 dB of full scale. */
const SILENCE = 0.1;
const SILENT_AFTER: Seconds = 6;

interface Asked {
  readonly on: boolean;
  readonly cues: readonly Cue[];
  readonly state: Performance;
  readonly events: () => readonly LoggedEvent[];
  readonly hear: (line: HeardLine) => void;
  readonly send: (by: 'by-ear' | 'by-clock') => void;
}

/** Follows the lines of a class by ear while `on`; what is heard goes nowhere. */
export function useEar(asked: Asked): Ear {
  const { on, cues, state, events } = asked;
  const [ear, setEar] = useState<Ear>(OFF);
  const latest = useRef(asked);
  const session = useRef<EarSession | null>(null);
  const loudAt = useRef(0);
  const open = useMicrophoneOf(state.mode);
  useEffect(() => {
    latest.current = asked;
  });
  useEffect(() => {
    if (!on) return undefined;
    setEar({ ...OFF, state: 'preparing' });
    const change = (part: Partial<Ear>): void => setEar((before) => ({ ...before, ...part }));
    loudAt.current = clockSeconds();
    const follow = follower(latest, loudAt);
    const opened = new EarSession({
      prepared: (prepared) => change({ prepared }),
      listening: () => change({ state: 'listening' }),
      loudness: (loudness) => {
        if (loudness > SILENCE) loudAt.current = clockSeconds();
        change({ loudness });
      },
      news: (news) => change(follow(news)),
      trouble: (trouble) => {
        setEar({ ...OFF, trouble });
        latest.current.send('by-clock');
      },
    });
    session.current = opened;
    void opened.setLines(latest.current.cues);
    void opened.open(open);
    return () => {
      session.current = null;
      opened.end();
      setEar(OFF);
    };
  }, [on, open]);
  useEffect(() => {
    void session.current?.setLines(cues);
  }, [cues]);
  const last = events().at(-1);
  useEffect(() => {
    if (last && movesPlace(last.event)) session.current?.moveTo(nextAfter(last, latest.current.cues));
  }, [last]);
  return state.mode === 'running' && state.by === 'ear' ? ear : { ...ear, next: null };
}

/** The line to be said after somebody moved by hand: that which was moved on to, or the one there. */
function nextAfter({ event, placeSeconds }: LoggedEvent, cues: readonly Cue[]): number {
  const at = countWhere(cues.length, (index) => itemAt(cues, index).startSeconds < placeSeconds - 0.001);
  return event === 'next-line' ? Math.min(cues.length - 1, at + 1) : Math.min(cues.length - 1, at);
}

/** Tells the performance what is heard, and gives what is shown of it. */
function follower(
  latest: { readonly current: Asked },
  loudAt: { readonly current: Seconds },
): (news: EarNews) => Partial<Ear> {
  let followed = true;
  let knownAt = -Infinity;
  let heard = { cue: -1, begun: -Infinity };
  return ({ next, share, last, asideSeconds, isSpeaking }) => {
    const { state, cues, hear, send } = latest.current;
    const now = clockSeconds();
    const running = state.mode === 'running';
    const was = followed;
    if (share >= LOST_SHARE || !running) knownAt = now;
    const isSilent = now - loudAt.current > SILENT_AFTER;
    followed = running ? isFollowed(was, { share, lostSeconds: now - knownAt, asideSeconds }) && !isSilent : true;
    if (running && followed !== (state.by === 'ear')) send(followed ? 'by-ear' : 'by-clock');
    const cue = last === null ? undefined : cues[last.cue];
    if (running && followed && last && cue && last.share >= HEARD_SHARE) {
      const begun = now - last.secondsAgo;
      if (last.cue !== heard.cue || Math.abs(begun - heard.begun) > SAME_ONSET) {
        heard = { cue: last.cue, begun };
        hear({ kind: 'heard', now, placeSeconds: cue.startSeconds, begunSeconds: begun });
      }
    }
    return { next, share, isSpeaking, isAside: asideSeconds > ASIDE_TOLD, isSilent, isFollowed: followed };
  };
}
