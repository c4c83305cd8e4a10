import { COEFFICIENTS } from '@/core/signal';
import type { ScaledBy } from '../acoustic/distance-scale';
import type { Costs } from '../decoder/costs';

/*
 * Two kinds of room to follow a class in: one where nothing but the voice is heard, and one where something sounds
 * along with it. Music that is left over after the denoiser makes other lines sound alike, so lines are told apart by
 * another measure there, with costs of their own. Both were found on the tuned half of the practice takes, as
 * `docs/perform.md` tells.
 */

/** What it costs that one line follows another, and how alike sounds are measured. */
export interface Room {
  /** Of a match by itself. */
  readonly costs: Costs;
  readonly leaps: Leaps;
  readonly aside: Aside;
  readonly awaited: Awaited;
  readonly scaledBy: ScaledBy;
  /** Whether bands are taken under a root instead of the logarithm; see `rootCompressed`. */
  readonly compressed: boolean;
}

interface Leaps {
  /** The line just said is said again; its round; something else before it. */
  readonly again: number;
  readonly round: number;
  readonly back: number;
  /** To the beginning of a step further on, and to any other line. */
  readonly step: number;
  readonly far: number;
}

interface Aside {
  /** A line begins or ends in the middle of talk: so near to speech that is none. */
  readonly cut: number;
  readonly cutGap: number;
  /** Who said something else needs so long to come back to the class. */
  readonly back: number;
}

/**
 * While a line is awaited: what it costs that it is late, a part of what it costs when it is said, since it may still
 * come; and that lines before it were passed over, which is seldom where nobody spoke meanwhile.
 */
interface Awaited {
  readonly lateShare: number;
  readonly lateAtMost: number;
  readonly skip: number;
  readonly skipInSilence: number;
}

export const QUIET_ROOM: Room = {
  costs: {
    skip: 1.22,
    adLib: 1.59,
    adLibSecond: 0.035,
    gapAtMost: 5.06,
    gapSeconds: 0.31,
    gapShare: 0.11,
    length: 1.15,
    lengthAtMost: 3,
    joined: 0.34,
    leadIn: 0.75,
    leadWithin: 2.3,
    temperature: 1,
    distance: { cost: 2.22, from: 0.58, likest: -3.14, unlikest: 0.39 },
  },
  leaps: { again: 7, round: 9, back: 18, step: 8, far: 18 },
  aside: { cut: 2.5, cutGap: 0.26, back: 1 },
  awaited: { lateShare: 0.8, lateAtMost: 5, skip: 1.8, skipInSilence: 3 },
  scaledBy: 'all texts',
  compressed: false,
};

export const LOUD_ROOM: Room = {
  costs: {
    ...QUIET_ROOM.costs,
    gapAtMost: 6.07,
    leadIn: 0.98,
    leadWithin: 2.88,
    distance: { ...QUIET_ROOM.costs.distance, likest: -2.2 },
  },
  leaps: { ...QUIET_ROOM.leaps, again: 5.83, round: 12.96 },
  aside: { ...QUIET_ROOM.aside, back: 0.36 },
  awaited: { ...QUIET_ROOM.awaited, lateAtMost: 6.25, skipInSilence: 4.32 },
  scaledBy: 'other texts',
  compressed: true,
};

/**
 * How far the voice stands out of what sounds between its stretches, in natural logarithms of power (7 are 30 dB):
 * below the first the room is loud, above the second it is quiet. Tuned takes in quiet lie at 7.9 to 12, those over
 * music at 2.2 to 7.4.
 */
const STANDS_OUT = { loudBelow: 7, quietAbove: 8 };
/** What was heard before counts less by this with every stretch. */
const FORGETTING = 0.9;
/** Frames of a gap that count in full. */
const GAP_FRAMES = 50;

/** The cepstra of a stretch of speech, and of the silence since the stretch before, or the last of it. */
export interface HeardSound {
  readonly cepstra: Float32Array;
  readonly before: Float32Array;
}

/** Tells from what is heard whether a room is loud. A quiet one is taken for granted at first. */
export class RoomLevel {
  private voice = { sum: 0, count: 0 };
  private gaps = { sum: 0, count: 0 };
  private loud = false;

  get isLoud(): boolean {
    return this.loud;
  }

  add({ cepstra, before }: HeardSound): void {
    for (const one of [this.voice, this.gaps]) {
      one.sum *= FORGETTING;
      one.count *= FORGETTING;
    }
    const said = levelsOf(cepstra).sort((a, b) => b - a);
    add(this.voice, said.slice(0, Math.ceil(said.length / 2)), 1);
    const between = levelsOf(before);
    add(this.gaps, between, Math.min(1, between.length / GAP_FRAMES));
    if (this.voice.count === 0 || this.gaps.count === 0) return;
    const outstanding = this.voice.sum / this.voice.count - this.gaps.sum / this.gaps.count;
    this.loud = outstanding < (this.loud ? STANDS_OUT.quietAbove : STANDS_OUT.loudBelow);
  }
}

function add(mean: { sum: number; count: number }, levels: readonly number[], weight: number): void {
  if (levels.length === 0) return;
  mean.sum += (weight * levels.reduce((sum, one) => sum + one, 0)) / levels.length;
  mean.count += weight;
}

/** The level of each frame. */
function levelsOf(cepstra: Float32Array): number[] {
  return Array.from({ length: cepstra.length / COEFFICIENTS }, (_, frame) => cepstra[frame * COEFFICIENTS] ?? 0);
}
