import type { Issue } from '@/core/units';
import { MOVEMENT_LIMITS } from './limits';
import { isInRound } from './rounds';
import type { MovementContent } from './schema';

/** What a schema of single fields cannot say of a movement: bounds in order, ids once, phases with a length. */
export function checkContent(movement: MovementContent, at: string, once: (id: string, at: string) => void): Issue[] {
  const issues: Issue[] = [];
  const place = (path: string): string => (at === '' ? path : `${at}.${path}`);
  if (movement.minRounds > movement.maxRounds) {
    issues.push(bounds(place('minRounds'), movement.minRounds, movement.maxRounds));
  }
  if (movement.minSeconds > movement.maxSeconds) {
    issues.push(bounds(place('minSeconds'), movement.minSeconds, movement.maxSeconds));
  }
  movement.pattern.forEach((phase, index) => {
    once(phase.id, place(`pattern[${index}]`));
    const led = phase.kind === 'inhale' || phase.kind === 'exhale';
    if (!led && phase.share === null && phase.seconds === null) {
      issues.push({ code: 'phase-without-length', at: place(`pattern[${index}]`), facts: { kind: phase.kind } });
    }
  });
  if (!movement.pattern.some(({ fromRound, toRound }) => fromRound === 1 && toRound === null)) {
    // Without one that is part of every round there may be rounds of nothing.
    issues.push(...emptyRounds(movement.pattern, place('pattern')));
  }
  movement.teach.forEach((line, index) => once(line.id, place(`teach[${index}]`)));
  movement.during.forEach((line, index) => once(line.id, place(`during[${index}]`)));
  return issues;
}

/** The first round that no phase is part of. */
function emptyRounds(pattern: MovementContent['pattern'], at: string): Issue[] {
  for (let round = 1; round <= MOVEMENT_LIMITS.rounds; round++) {
    if (!pattern.some((phase) => isInRound(phase, round))) return [{ code: 'round-empty', at, facts: { round } }];
  }
  return [];
}

function bounds(at: string, min: number, max: number): Issue {
  return { code: 'bounds-turned', at, facts: { min, max } };
}
