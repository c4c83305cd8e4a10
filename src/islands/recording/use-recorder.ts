import { useCallback, useEffect, useRef, useState } from 'react';
import type { Issue, Seconds } from '@/core/units';
import { openDevices, Recorder, troubleOf } from './recorder';
import type { RecordingMeta } from './store';

export interface Recording {
  readonly state: 'off' | 'asking' | 'on';
  /** What is recorded, to be shown small. */
  readonly stream: MediaStream | null;
  readonly loudness: number;
  /** Whether it was too loud in the last seconds, or nothing was heard for some. */
  readonly clips: boolean;
  readonly isSilent: boolean;
  /** The last recording that was made here. */
  readonly made: RecordingMeta | null;
  readonly seconds: Seconds;
  readonly trouble: Issue | null;
  readonly start: () => Promise<void>;
  readonly stop: () => void;
}

const CLIPS_SHOWN_MILLISECONDS = 3_000;
/** A room is louder than this, on the scale of the meter: −54 dB of full scale. */
const SILENCE = 0.1;
const SILENT_AFTER_MILLISECONDS = 6_000;

/** Records camera and microphone in the page, or what `open` gives in their place. */
export function useRecorder(
  about: { readonly classId: string; readonly nameOf: (ending: string) => string },
  open: () => Promise<MediaStream> = openDevices,
): Recording {
  const [state, setState] = useState<Recording['state']>('off');
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [heard, setHeard] = useState({ loudness: 0, clips: false, isSilent: false, seconds: 0 });
  const [made, setMade] = useState<RecordingMeta | null>(null);
  const [trouble, setTrouble] = useState<Issue | null>(null);
  const running = useRef<Recorder | null>(null);
  /** Cleared when it is stopped, or the page is left, while the devices are still asked for. */
  const wanted = useRef(false);
  const stop = useCallback(() => {
    wanted.current = false;
    running.current?.stop();
  }, []);
  useEffect(() => stop, [stop]);
  const start = async (): Promise<void> => {
    wanted.current = true;
    setTrouble(null);
    setState('asking');
    let opened: MediaStream | null = null;
    try {
      opened = await open();
      let began = performance.now();
      let clippedAt = -Infinity;
      let loudAt = began;
      const { recorder, meta } = await Recorder.start(opened, about, {
        level: ({ loudness, clips }) => {
          const now = performance.now();
          if (clips) clippedAt = now;
          if (loudness > SILENCE) loudAt = now;
          setHeard({
            loudness,
            clips: now - clippedAt < CLIPS_SHOWN_MILLISECONDS,
            isSilent: now - loudAt > SILENT_AFTER_MILLISECONDS,
            seconds: (now - began) / 1000,
          });
        },
        ended: (why) => {
          running.current = null;
          setStream(null);
          setState('off');
          setTrouble(why);
        },
      });
      began = meta.startedAt - performance.timeOrigin;
      running.current = recorder;
      setMade(meta);
      setStream(opened);
      setState('on');
      if (!wanted.current) recorder.stop();
    } catch (error) {
      for (const track of opened?.getTracks() ?? []) track.stop();
      setState('off');
      setTrouble(troubleOf(error));
    }
  };
  return { state, stream, ...heard, made, trouble, start, stop };
}
