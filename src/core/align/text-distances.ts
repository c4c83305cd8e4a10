/** Cepstra of something said, `COEFFICIENTS` for each 10 ms. */
export type SaidCepstra = Float32Array;

/** Stretches `[from, to)` of speech in which a text was said, as far as is known. */
export interface HeardText {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** How far the speech of a take is from the texts of its class: what the decoder asks, by sound or by words. */
export interface TextDistances {
  /** What it goes by. */
  readonly by: 'sound' | 'words';
  /** Matches of one cue that are worth comparing with each other; all of them where left out. */
  readonly matchesAtMost?: number;
  /**
   * How unlike a text the stretches `[from, to)` of speech are: 0 for one as near as the middle of the class's texts,
   * about -4 for the right one in quiet, `null` where the lengths rule it out.
   */
  distance(from: number, to: number, text: string): number | null;
  /** The same of their end, as long as the text is: where words before it run into it. */
  distanceOfEnd(from: number, to: number, text: string): number | null;
  /** The same, after the voice of the take was learned from what it said; itself where that is too little. */
  adaptedTo(heard: readonly HeardText[]): TextDistances;
  /** What was asked of it so far, to be asked again without the sound. */
  kept(): readonly KeptDistance[];
}

/** A distance that was asked for. */
export interface KeptDistance {
  /** Stretches `[from, to)`. */
  readonly from: number;
  readonly to: number;
  /** Whether only their end was compared, as long as the text is. */
  readonly ofEnd: boolean;
  readonly text: string;
  readonly distance: number;
}

/** Distances that were kept. What was not asked then is unknown, and nothing more is learned. */
export function distancesKept(kept: readonly KeptDistance[]): TextDistances {
  const keyOf = (from: number, to: number, ofEnd: boolean, text: string): string => `${from} ${to} ${ofEnd} ${text}`;
  const known = new Map(
    kept.map(({ from, to, ofEnd, text, distance }) => [keyOf(from, to, ofEnd, text), distance] as const),
  );
  const distances: TextDistances = {
    by: 'sound',
    distance: (from, to, text) => known.get(keyOf(from, to, false, text)) ?? null,
    distanceOfEnd: (from, to, text) => known.get(keyOf(from, to, true, text)) ?? null,
    adaptedTo: () => distances,
    kept: () => kept,
  };
  return distances;
}
