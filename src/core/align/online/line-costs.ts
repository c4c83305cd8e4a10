import type { Cue } from '@/core/timeline';
import { itemAt, type Seconds } from '@/core/units';
import { QUIET_ROOM, type Room } from './room';

/*
 * What it costs that one line follows another while a class is heard, in natural logarithms of how seldom it happens:
 * lines in order at about their planned gap, lines passed over, and the leaps that a class as given makes, to a step
 * left out or a round said again.
 */

/** So much may the first line be early or late at a cost of 1. */
const START: Seconds = 4;

/** How a line begins: in the midst of a round, as the first of one, or of a step. */
const enum Begins {
  Nothing,
  Round,
  Step,
}

/** What was said last: a line by its place, -1 before the first, and when it began. */
export interface SaidLast {
  readonly cue: number;
  readonly onset: Seconds;
}

/** What it costs to go from line to line of one class. */
export class LineCosts {
  private readonly starts: Float64Array;
  private readonly begins: readonly Begins[];
  /** Seconds taken for one planned, at each line. */
  private readonly slow: Float64Array;
  private room = QUIET_ROOM;

  constructor(private readonly cues: readonly Cue[]) {
    this.starts = Float64Array.from(cues, ({ startSeconds }) => startSeconds);
    this.slow = new Float64Array(cues.length).fill(1);
    this.begins = cues.map(({ step, round, side }, at) => {
      const before = cues[at - 1];
      if (step !== before?.step) return Begins.Step;
      return round !== before.round || side !== before.side ? Begins.Round : Begins.Nothing;
    });
  }

  setRoom(room: Room): void {
    this.room = room;
  }

  setTempo(tempo: (plannedStart: Seconds) => number): void {
    this.starts.forEach((start, cue) => (this.slow[cue] = tempo(start)));
  }

  /** Whether a leap may come to a line. */
  isLeapt(cue: number): boolean {
    return this.begins[cue] !== Begins.Nothing;
  }

  /** Seconds from what was said last to the beginning of a later line, as they are expected. */
  gap({ cue: last }: SaidLast, cue: number): Seconds {
    return ((this.starts[cue] ?? 0) - (last < 0 ? 0 : (this.starts[last] ?? 0))) * (this.slow[cue] ?? 1);
  }

  /** Off the expected gap by so many of what is allowed. */
  stray(last: SaidLast, gap: Seconds, off: Seconds): number {
    return off / ((last.cue < 0 ? START : this.room.costs.gapSeconds) + this.room.costs.gapShare * gap);
  }

  /** That the lines from `cueFrom` to before `cueTo` are said from `onset` on. */
  following(last: SaidLast, cueFrom: number, cueTo: number, onset: Seconds): number {
    const between = cueFrom - last.cue - 1;
    if (between < 0) return this.backTo(last, cueFrom, cueTo);
    const gap = this.gap(last, cueFrom);
    const stray = Math.min(this.room.costs.gapAtMost, this.stray(last, gap, Math.abs(onset - last.onset - gap)));
    const leap = this.begins[cueFrom] === Begins.Step ? this.room.leaps.step : this.room.leaps.far;
    return Math.min(this.room.costs.skip * between + stray, leap + this.room.costs.gapAtMost);
  }

  /** That a line is said next, where at a time nothing more was heard, `aside` of which somebody spoke of something else. */
  awaited(last: SaidLast, cue: number, now: Seconds, aside: Seconds): number {
    const gap = this.gap(last, cue);
    const late = this.stray(last, gap, Math.max(0, now - last.onset - gap - aside));
    const skip = aside > 0 ? this.room.awaited.skip : this.room.awaited.skipInSilence;
    return skip * (cue - last.cue - 1) + Math.min(this.room.awaited.lateAtMost, late * this.room.awaited.lateShare);
  }

  private backTo(last: SaidLast, cueFrom: number, cueTo: number): number {
    if (cueFrom === last.cue && cueTo === last.cue + 1) return this.room.leaps.again;
    const sameStep = itemAt(this.cues, cueFrom).step === this.cues[last.cue]?.step;
    return sameStep && this.isLeapt(cueFrom) ? this.room.leaps.round : this.room.leaps.back;
  }
}
