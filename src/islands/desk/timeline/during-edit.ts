import { makeDuring } from '@/core/movement';
import { isMovement, isSilence, LIMITS, setFields, type CueSource, type Edit, type Step } from '@/core/plan';

/** Whether one more line can be said while a step runs. */
export function hasDuring(step: Step): boolean {
  return (isMovement(step) || isSilence(step)) && step.during.length < LIMITS.spokenLines;
}

/** The edit that has a line said while a step runs: on a round, or where there is room. */
export function duringEdit(step: Step, text: string, round: number | null = null): Edit | null {
  if (!isMovement(step) && !isSilence(step)) return null;
  const place = round === null ? {} : ({ on: 'round', number: round } as const);
  return setFields<typeof step>(step, { during: [...step.during, makeDuring(() => crypto.randomUUID(), text, place)] });
}

/** The edit that takes out such a line once it is emptied; `null` where it still says something, or is another. */
export function emptiedEdit(step: Step, source: CueSource): Edit | null {
  if (source.part !== 'during' || (!isMovement(step) && !isSilence(step))) return null;
  const kept = step.during.filter(({ id, text }) => id !== source.lineId || text.trim() !== '');
  return kept.length === step.during.length ? null : setFields<typeof step>(step, { during: kept });
}
