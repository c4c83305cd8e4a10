import type { Issue } from '@/core/units';
import type { MovementContent } from './schema';

/** What a schema of single fields cannot say of a movement: bounds in order, ids once, phases with a length. */
export function checkContent(movement: MovementContent, at: string, once: (id: string, at: string) => void): Issue[] {
  const issues: Issue[] = [];
  const place = (path: string): string => (at === '' ? path : `${at}.${path}`);
  if (movement.leastRounds > movement.mostRounds) {
    issues.push(bounds(place('leastRounds'), movement.leastRounds, movement.mostRounds));
  }
  if (movement.leastSeconds > movement.mostSeconds) {
    issues.push(bounds(place('leastSeconds'), movement.leastSeconds, movement.mostSeconds));
  }
  movement.pattern.forEach((phase, index) => {
    once(phase.id, place(`pattern[${index}]`));
    const led = phase.kind === 'in' || phase.kind === 'out';
    if (!led && phase.share === null && phase.seconds === null) {
      issues.push({ code: 'phase-without-length', at: place(`pattern[${index}]`), facts: { kind: phase.kind } });
    }
  });
  movement.teach.forEach((line, index) => once(line.id, place(`teach[${index}]`)));
  return issues;
}

function bounds(at: string, least: number, most: number): Issue {
  return { code: 'bounds-turned', at, facts: { least, most } };
}
