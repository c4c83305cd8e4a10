import { useCallback, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { Seconds } from '@/core/units';

export interface Player {
  readonly playing: boolean;
  readonly seconds: Seconds;
  /** Plays from there, at once. */
  readonly playFrom: (seconds: Seconds) => void;
  readonly toggle: () => void;
  readonly skip: (by: Seconds) => void;
  /** Played over and over, or `null`. */
  readonly loop: Loop | null;
  readonly setLoop: (loop: Loop | null) => void;
}

interface Loop {
  readonly from: Seconds;
  readonly to: Seconds;
}

/**
 * A recording that is played: where it is, four times a second and on every jump; a loop is kept to. Where the same
 * recording comes from elsewhere, a picture attached to its sound, it goes on where it was.
 */
export function usePlayer(element: RefObject<HTMLVideoElement | null>, source: string | null): Player {
  const [playing, setPlaying] = useState(false);
  const [seconds, setSeconds] = useState(0);
  const [loop, setLoop] = useState<Loop | null>(null);
  useSamePlace(element, source, { seconds, playing });
  useEffect(() => {
    const media = element.current;
    if (!media) return;
    const moved = (): void => {
      if (loop && !media.paused && (media.currentTime >= loop.to || media.currentTime < loop.from - 1)) {
        media.currentTime = loop.from;
      }
      setSeconds(media.currentTime);
    };
    const changed = (): void => setPlaying(!media.paused);
    // Short lines are looped more exactly than the browser tells its time.
    const timer = setInterval(() => !media.paused && moved(), 50);
    const events = ['timeupdate', 'seeked', 'loadedmetadata'] as const;
    for (const event of events) media.addEventListener(event, moved);
    for (const event of ['play', 'pause', 'ended']) media.addEventListener(event, changed);
    return () => {
      clearInterval(timer);
      for (const event of events) media.removeEventListener(event, moved);
      for (const event of ['play', 'pause', 'ended']) media.removeEventListener(event, changed);
    };
  }, [element, source, loop]);
  const playFrom = useCallback(
    (from: Seconds): void => {
      const media = element.current;
      if (!media) return;
      media.currentTime = Math.max(0, from);
      setSeconds(media.currentTime);
      // Refused when the page was never touched, or the file broke: the button shows that it does not play.
      void media.play().catch(() => setPlaying(false));
    },
    [element],
  );
  return {
    playing,
    seconds,
    playFrom,
    toggle: () => {
      const media = element.current;
      if (media?.paused) playFrom(media.currentTime);
      else media?.pause();
    },
    skip: (by) => {
      const media = element.current;
      if (media) media.currentTime = Math.max(0, media.currentTime + by);
    },
    loop,
    setLoop,
  };
}

/** Goes on where it was when a media element begins anew with another source. */
function useSamePlace(
  element: RefObject<HTMLVideoElement | null>,
  source: string | null,
  now: Pick<Player, 'seconds' | 'playing'>,
): void {
  const was = useRef(now);
  useLayoutEffect(() => {
    const media = element.current;
    if (!media || was.current.seconds === 0) return;
    media.currentTime = was.current.seconds;
    // Where it is refused the button shows that it does not play.
    if (was.current.playing) void media.play().catch(() => undefined);
  }, [element, source]);
  useLayoutEffect(() => {
    was.current = now;
  });
}
