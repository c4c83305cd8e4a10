import type { Issue } from '@/core/units';
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
  movement.teach.forEach((line, index) => once(line.id, place(`teach[${index}]`)));
  return issues;
}

function bounds(at: string, min: number, max: number): Issue {
  return { code: 'bounds-turned', at, facts: { min, max } };
}
