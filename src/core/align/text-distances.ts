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

/** Stretches `[from, to)`, or their end, as one number. No more than 31 are ever taken together. */
export function stretchesKey(from: number, to: number, ofEnd: boolean): number {
  return from * 64 + (to - from) + (ofEnd ? 32 : 0);
}

/** The stretches of such a number. */
export function stretchesOfKey(key: number): Pick<KeptDistance, 'from' | 'to' | 'ofEnd'> {
  const from = Math.floor(key / 64);
  return { from, to: from + (key % 32), ofEnd: key % 64 >= 32 };
}

/** Distances that were kept. What was not asked then is unknown, and nothing more is learned. */
export function distancesKept(kept: readonly KeptDistance[]): TextDistances {
  // By text, then by stretches: an hour's take keeps tens of thousands, and the page asks for them again and again.
  const known = new Map<string, Map<number, number>>();
  for (const { from, to, ofEnd, text, distance } of kept) {
    const ofText = known.get(text) ?? new Map<number, number>();
    known.set(text, ofText.set(stretchesKey(from, to, ofEnd), distance));
  }
  const ask = (text: string, key: number): number | null => known.get(text)?.get(key) ?? null;
  const distances: TextDistances = {
    by: 'sound',
    distance: (from, to, text) => ask(text, stretchesKey(from, to, false)),
    distanceOfEnd: (from, to, text) => ask(text, stretchesKey(from, to, true)),
    adaptedTo: () => distances,
    kept: () => kept,
  };
  return distances;
}
