import { itemAt, type Seconds } from '@/core/units';
import type { Cue, TimedPhase } from './model';

/** Rounds that say the same fold into one from this many on. */
const FOLD_FROM = 3;

/** Rounds shown one by one, or several that say the same shown as one. */
export interface RoundGroup {
  readonly firstRound: number;
  readonly lastRound: number;
  readonly folded: boolean;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  readonly cues: readonly Cue[];
}

/** Rounds in the order performed, those that repeat the same words put together. Sides in turn start anew. */
export function groupRounds(cues: readonly Cue[], phases: readonly TimedPhase[], unfolded: boolean): RoundGroup[] {
  const rounds: {
    round: number;
    side: string;
    words: string;
    startSeconds: Seconds;
    endSeconds: Seconds;
    cues: Cue[];
  }[] = [];
  for (const phase of phases) {
    if (phase.round === 0) continue;
    const last = rounds.at(-1);
    if (last && last.round === phase.round && last.endSeconds === phase.startSeconds)
      last.endSeconds = phase.endSeconds;
    else {
      const { round, startSeconds, endSeconds } = phase;
      rounds.push({ round, side: phase.side ?? '', words: '', startSeconds, endSeconds, cues: [] });
    }
  }
  let at = 0;
  for (const cue of cues) {
    if (cue.round === 0) continue;
    while (
      at < rounds.length - 1 &&
      (itemAt(rounds, at).round !== cue.round || itemAt(rounds, at).endSeconds <= cue.motionSeconds)
    )
      at++;
    itemAt(rounds, at).cues.push(cue);
    itemAt(rounds, at).words += `|${cue.text}`;
  }
  const groups: RoundGroup[] = [];
  for (let from = 0; from < rounds.length;) {
    let to = from + 1;
    const joins = (index: number): boolean =>
      index < rounds.length &&
      itemAt(rounds, index).words === itemAt(rounds, from).words &&
      itemAt(rounds, index).round === itemAt(rounds, index - 1).round + 1;
    while (joins(to)) to++;
    const folds = !unfolded && to - from >= FOLD_FROM;
    for (let index = from; index < to; index += folds ? to - from : 1) {
      const end = folds ? to - 1 : index;
      groups.push({
        firstRound: itemAt(rounds, index).round,
        lastRound: itemAt(rounds, end).round,
        folded: folds,
        startSeconds: itemAt(rounds, index).startSeconds,
        endSeconds: itemAt(rounds, end).endSeconds,
        cues: rounds.slice(index, end + 1).flatMap((round) => round.cues),
      });
    }
    from = to;
  }
  return groups;
}
