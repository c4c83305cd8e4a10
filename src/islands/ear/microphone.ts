import { useCallback, useEffect, useRef } from 'react';
import { openStandIn, standInAsked } from '../recording/stand-in-devices';

/** Opens the microphone alone, without the browser's own processing. */
function openMicrophone(): Promise<MediaStream> {
  return navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });
}

/** How the microphone is opened; a stand-in for it speaks from when the class begins. */
export function useMicrophoneOf(mode: string): () => Promise<MediaStream> {
  const begin = useRef<() => void>(() => undefined);
  const begun = useRef(false);
  useEffect(() => {
    begun.current = mode === 'running';
    if (begun.current) begin.current();
  }, [mode]);
  return useCallback(() => {
    const asked = standInAsked();
    if (asked === null) return openMicrophone();
    const begins = new Promise<void>((resolve) => {
      begin.current = resolve;
      if (begun.current) resolve();
    });
    return openStandIn(asked, begins);
  }, []);
}
