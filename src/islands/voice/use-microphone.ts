import { useEffect, useRef, useState } from 'react';
import type { Issue } from '@/core/units';
import { startMeter } from '@/ui/parts/level-meter';

/** A reading longer than this is not of one paragraph. */
const LONGEST_MILLISECONDS = 120_000;

export interface Microphone {
  readonly recording: boolean;
  /** How loud it is now, from 0 (silence) to 1 (full scale), on a scale of decibels. */
  readonly level: number;
  /** Begins to record; what stood in the way, else `null`. */
  readonly start: () => Promise<Issue | null>;
  readonly stop: () => void;
}

/**
 * Records from the microphone into memory, without the browser's own processing. What was recorded is given when it
 * is stopped, or after two minutes; the microphone is let go then, and when the view is left.
 */
export function useMicrophone(onRecorded: (sound: Blob) => void): Microphone {
  const recorder = useRef<MediaRecorder | null>(null);
  const [recording, setRecording] = useState(false);
  const [level, setLevel] = useState(0);
  const meter = useRef<(() => void) | null>(null);
  useEffect(
    () => () => {
      meter.current?.();
      letGo(recorder.current);
    },
    [],
  );
  const stop = (): void => {
    if (recorder.current?.state === 'recording') recorder.current.stop();
  };
  const start = async (): Promise<Issue | null> => {
    try {
      const audio = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };
      const made = new MediaRecorder(await navigator.mediaDevices.getUserMedia({ audio }));
      const pieces: Blob[] = [];
      const limit = setTimeout(() => made.state === 'recording' && made.stop(), LONGEST_MILLISECONDS);
      made.addEventListener('dataavailable', ({ data }) => pieces.push(data));
      made.addEventListener('stop', () => {
        clearTimeout(limit);
        meter.current?.();
        letGo(made);
        setRecording(false);
        setLevel(0);
        onRecorded(new Blob(pieces, { type: made.mimeType }));
      });
      made.start(500);
      recorder.current = made;
      meter.current = startMeter(made.stream, ({ loudness }) => setLevel(loudness));
      setRecording(true);
      return null;
    } catch (error) {
      return { code: codeOf(error), at: '', facts: {} };
    }
  };
  return { recording, level, start, stop };
}

function letGo(recorder: MediaRecorder | null): void {
  recorder?.stream.getTracks().forEach((track) => track.stop());
}

function codeOf(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError') return 'microphone-refused';
  return name === 'NotFoundError' ? 'microphone-none' : 'microphone-failed';
}
