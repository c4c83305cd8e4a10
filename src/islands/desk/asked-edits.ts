import { LIMITS, type Edit, type MovementStep, type QuietStep } from '@/core/plan';

/** Sets the rounds somebody asks for, and widens the bounds to hold them; `null` out of all bounds. */
export function roundsEdit(step: MovementStep, rounds: number): Edit | null {
  if (rounds < 1 || rounds > LIMITS.rounds) return null;
  return setAll(step.id, {
    rounds,
    preferredRounds: rounds,
    leastRounds: Math.min(step.leastRounds, rounds),
    mostRounds: Math.max(step.mostRounds, rounds),
  });
}

/** Sets the length somebody asks for, and widens the bounds to hold it. */
export function timeEdit(step: QuietStep | MovementStep, seconds: number): Edit {
  return setAll(step.id, {
    seconds,
    preferredSeconds: seconds,
    leastSeconds: Math.min(step.leastSeconds, seconds),
    mostSeconds: Math.max(step.mostSeconds, seconds),
  });
}

function setAll(stepId: string, fields: Readonly<Record<string, number>>): Edit {
  return {
    kind: 'together',
    edits: Object.entries(fields).map(([field, value]) => ({ kind: 'set-step', stepId, field, value })),
  };
}
