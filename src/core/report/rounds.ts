import type { Reading } from '@/core/reading';
import type { TimedStep, Timeline } from '@/core/timeline';
import { itemAt, median, type Interval, type Seconds } from '@/core/units';
import type { Side } from '@/core/words';
import type { Difference, SideRounds } from './model';
import { adLibSeconds, type SaidCue } from './said';

/** The counted rounds of one side, or of both where they alternate, on the plan's clock. */
interface Stretch extends Interval {
  readonly side: Side | null;
}

/** What is told of a step's rounds by the time between its lines. */
export interface CountedRounds {
  readonly rounds: readonly SideRounds[];
  readonly differences: readonly Difference[];
}

/** Fewer gaps than this tell no tempo of their own. */
const FEWEST_GAPS = 3;
/** A gap says something of a round only if it differs by this share of one, */
const LEAST_OF_A_ROUND = 0.6;
/** and counts as rounds only this near to a whole number of them; else it is an interruption. */
const FROM_WHOLE = 0.3;
/** Nothing shorter is called an interruption. */
const LEAST_INTERRUPTION: Seconds = 8;
/** A tempo beyond these is not believed. */
const TEMPO = { min: 0.6, max: 1.7 };
/** A line further ahead than this many cues says nothing of the rounds before it. */
const CUES_AHEAD = 3;

/**
 * Counts the rounds of a step from what was said: between two lines that follow each other the take holds the planned
 * time at the step's own tempo (the middle of its gaps), and where it holds more or less by whole rounds, rounds were
 * added or left out. What is no whole round is an interruption. Common practice, no published source.
 */
export function countRounds(
  timeline: Timeline,
  step: TimedStep,
  said: readonly SaidCue[],
  reading: Reading,
): CountedRounds {
  if (step.rounds === 0 || step.roundSeconds === 0) return { rounds: [], differences: [] };
  const stretches = stretchesOf(timeline, step);
  const gaps = stretches.map((stretch) => gapsOf(stretch, step, said));
  const ratios = gaps
    .flat()
    .filter(({ planned }) => planned >= 1.5)
    .map(({ planned, taken }) => taken / planned);
  const tempo = ratios.length >= FEWEST_GAPS ? within(median(ratios)) : null;
  const differences: Difference[] = [];
  const rounds = stretches.map((stretch, index): SideRounds => {
    const { side } = stretch;
    if (tempo === null || itemAt(gaps, index).length === 0) return { side, planned: step.rounds, found: null };
    let more = 0;
    for (const gap of itemAt(gaps, index)) {
      const judged = judge(gap, tempo, step, reading);
      more += judged.rounds;
      differences.push(...judged.differences);
    }
    const found = Math.max(0, step.rounds + more);
    if (found !== step.rounds) {
      const atSeconds = itemAt(itemAt(gaps, index), 0).from;
      differences.push({ kind: 'rounds', step: step.step, side, planned: step.rounds, found, atSeconds });
    }
    return { side, planned: step.rounds, found };
  });
  return { rounds, differences };
}

interface Gap {
  readonly planned: Seconds;
  readonly taken: Seconds;
  /** When its first line was said, and its second. */
  readonly from: Seconds;
  readonly to: Seconds;
  /** Whether the last round was announced before it. */
  readonly afterLast: boolean;
}

function within(tempo: number): number | null {
  return tempo >= TEMPO.min && tempo <= TEMPO.max ? tempo : null;
}

function judge(
  { planned, taken, from, to, afterLast }: Gap,
  tempo: number,
  step: TimedStep,
  reading: Reading,
): { rounds: number; differences: Difference[] } {
  const round = tempo * step.roundSeconds;
  const spoken = adLibSeconds(reading, { startSeconds: from, endSeconds: to });
  const extra = taken - tempo * planned;
  // Ad-libs said in the middle of extra time may be the cues of extra rounds: only what they leave is asked to be whole.
  for (const left of extra > 0 && spoken > 0 ? [extra, extra - spoken] : [extra]) {
    const count = Math.round(left / round);
    if (Math.abs(left) < LEAST_OF_A_ROUND * round || Math.abs(left / round - count) > FROM_WHOLE) continue;
    const last: Difference[] =
      afterLast && count > 0 ? [{ kind: 'last-one', step: step.step, more: count, atSeconds: from }] : [];
    return { rounds: count, differences: last };
  }
  if (extra < Math.max(LEAST_INTERRUPTION, LEAST_OF_A_ROUND * round)) return { rounds: 0, differences: [] };
  return { rounds: 0, differences: [{ kind: 'interrupted', step: step.step, seconds: extra, atSeconds: from }] };
}

/** The stretches of a step that are counted by themselves: each side, or both as one where they alternate. */
function stretchesOf(timeline: Timeline, step: TimedStep): Stretch[] {
  const [from, to] = step.phaseRange;
  const found: (Stretch & { endSeconds: Seconds })[] = [];
  for (const { round, side, startSeconds, endSeconds } of timeline.phases.slice(from, to)) {
    if (round === 0) continue;
    const last = found.at(-1);
    if (last?.side === side) last.endSeconds = endSeconds;
    else found.push({ side, startSeconds, endSeconds });
  }
  if (found.length <= 2 && (found.length < 2 || step.rounds > 1 || !alternates(step, found))) return found;
  return [
    { side: null, startSeconds: itemAt(found, 0).startSeconds, endSeconds: itemAt(found, found.length - 1).endSeconds },
  ];
}

/** Whether one round on each side is one count: then a round is as long as both. */
function alternates(step: TimedStep, found: readonly Stretch[]): boolean {
  return step.roundSeconds > 1.5 * (itemAt(found, 0).endSeconds - itemAt(found, 0).startSeconds);
}

function gapsOf(stretch: Stretch, step: TimedStep, said: readonly SaidCue[]): Gap[] {
  const inside = said.filter(
    ({ cue }) =>
      cue.step === step.step &&
      cue.round > 0 &&
      cue.motionSeconds >= stretch.startSeconds &&
      cue.motionSeconds < stretch.endSeconds,
  );
  if (inside.length === 0) return [];
  const last = itemAt(inside, inside.length - 1);
  const after = said.find(({ at }) => at > last.at);
  const chain = after && after.at - last.at <= CUES_AHEAD ? [...inside, after] : inside;
  // The line that announces the last round need not be the last line of it.
  const lastSaid = inside.findIndex(({ cue }) => cue.round === step.rounds && cue.announced !== '');
  return chain.slice(1).map((next, index): Gap => {
    const before = itemAt(chain, index);
    return {
      planned: next.cue.startSeconds - before.cue.startSeconds,
      taken: next.saidSeconds - before.saidSeconds,
      from: before.saidSeconds,
      to: next.saidSeconds,
      afterLast: lastSaid >= 0 && index >= lastSaid,
    };
  });
}
