const METER_MILLISECONDS = 100;
/** What the meter shows as nothing, in decibels below full scale. */
const QUIETEST = -60;
/** A sample as large as this is as large as it gets: the sound is clipped. */
const FULL_SCALE = 0.985;

export interface Level {
  /** How loud it is, from 0 (silence) to 1 (full scale), on a scale of decibels. */
  readonly loudness: number;
  readonly clips: boolean;
}

/** Tells the level of a stream ten times a second; gives back how to stop. */
export function startMeter(stream: MediaStream, onLevel: (level: Level) => void): () => void {
  const context = new AudioContext();
  const analyser = new AnalyserNode(context, { fftSize: 8192 });
  context.createMediaStreamSource(stream).connect(analyser);
  const samples = new Float32Array(analyser.fftSize);
  const timer = setInterval(() => {
    analyser.getFloatTimeDomainData(samples);
    let power = 0;
    let peak = 0;
    for (const one of samples) {
      power += one * one;
      peak = Math.max(peak, Math.abs(one));
    }
    const decibels = power > 0 ? 10 * Math.log10(power / samples.length) : QUIETEST;
    onLevel({ loudness: Math.min(1, Math.max(0, 1 - decibels / QUIETEST)), clips: peak >= FULL_SCALE });
  }, METER_MILLISECONDS);
  return () => {
    clearInterval(timer);
    void context.close().catch(() => undefined);
  };
}
