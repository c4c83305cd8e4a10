import tapUrl from '@/workers/live-listener/tap.worklet.ts?worker&url';

/** Hands on what a stream sounds like, mono, with its rate in hertz; gives back how to stop. */
export async function tapSound(
  stream: MediaStream,
  onSound: (samples: Float32Array<ArrayBuffer>, rate: number) => void,
): Promise<() => void> {
  const context = new AudioContext();
  await context.audioWorklet.addModule(tapUrl);
  const tap = new AudioWorkletNode(context, 'sound-tap');
  tap.port.onmessage = ({ data }: MessageEvent<Float32Array<ArrayBuffer>>) => onSound(data, context.sampleRate);
  // Only what is connected is asked for sound; what comes out of it is silence.
  context.createMediaStreamSource(stream).connect(tap).connect(context.destination);
  return () => {
    tap.port.onmessage = null;
    void context.close().catch(() => undefined);
  };
}
