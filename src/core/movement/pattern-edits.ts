import { phaseSeconds, PRESETS, type Pace, type PhaseKind, type PresetId } from '@/core/breath';
import type { NewId } from '@/core/document';
import { itemAt, type Seconds } from '@/core/units';
import { MOVEMENT_LIMITS as LIMITS } from './limits';
import { makePhase } from './make';
import type { Phase } from './schema';

/*
 * Changes to a breath pattern as a hand makes them. Each gives a new pattern, or the same one where it cannot be
 * done; a pattern never has fewer than one phase nor more than the limit.
 */

type Pattern = readonly Phase[];

/** Puts a new phase of a kind after `index` (-1: at the start). */
export function addPhase(newId: NewId, pattern: Pattern, kind: PhaseKind, index: number): Pattern {
  if (pattern.length >= LIMITS.phases) return pattern;
  return [...pattern.slice(0, index + 1), makePhase(newId, { kind }), ...pattern.slice(index + 1)];
}

/** Cuts a phase in two halves of the same kind; the words stay with the first. */
export function splitPhase(newId: NewId, pattern: Pattern, index: number, pace: Pace): Pattern {
  const phase = pattern[index];
  if (!phase || pattern.length >= LIMITS.phases) return pattern;
  const half = phaseSeconds(phase, pace) / 2;
  if (half < LIMITS.phaseSeconds.min) return pattern;
  const first = withLength(phase, half, pace);
  const second = { ...first, id: newId(), action: '', full: '', short: '', breath: '' };
  return [...pattern.slice(0, index), first, second, ...pattern.slice(index + 1)];
}

/** Joins a phase with the one after it, which takes the kind of the first; the words are put together. */
export function joinPhases(pattern: Pattern, index: number, pace: Pace): Pattern {
  const [first, second] = [pattern[index], pattern[index + 1]];
  if (!first || !second) return pattern;
  const join = (a: string, b: string): string => [a, b].filter((part) => part !== '').join(' ');
  const joined = withLength(
    {
      ...first,
      action: join(first.action, second.action).slice(0, LIMITS.titleCharacters),
      full: join(first.full, second.full).slice(0, LIMITS.lineCharacters),
      short: join(first.short, second.short).slice(0, LIMITS.lineCharacters),
    },
    phaseSeconds(first, pace) + phaseSeconds(second, pace),
    pace,
  );
  return [...pattern.slice(0, index), joined, ...pattern.slice(index + 2)];
}

/** Moves a phase one place up (-1) or down (1). */
export function movePhase(pattern: Pattern, index: number, by: -1 | 1): Pattern {
  const to = index + by;
  if (!pattern[index] || !pattern[to]) return pattern;
  const moved = [...pattern];
  [moved[index], moved[to]] = [itemAt(moved, to), itemAt(moved, index)];
  return moved;
}

export function removePhase(pattern: Pattern, index: number): Pattern {
  return pattern.length > 1 ? pattern.filter((_, at) => at !== index) : pattern;
}

/** Makes a phase longer or shorter by `seconds`: in its own seconds, or in its share of a breath. */
export function lengthenPhase(pattern: Pattern, index: number, seconds: Seconds, pace: Pace): Pattern {
  return pattern.map((phase, at) =>
    at === index ? withLength(phase, phaseSeconds(phase, pace) + seconds, pace) : phase,
  );
}

/** Moves the border after phase `index` by `seconds`: what one gains the other gives, so the round stays as long. */
export function moveBorder(pattern: Pattern, index: number, seconds: Seconds, pace: Pace): Pattern {
  const [first, second] = [pattern[index], pattern[index + 1]];
  if (!first || !second) return pattern;
  const [before, after] = [phaseSeconds(first, pace), phaseSeconds(second, pace)];
  const by = Math.min(after - leastLength(second, pace), Math.max(leastLength(first, pace) - before, seconds));
  return pattern.map((phase, at) => {
    if (at === index) return withLength(phase, before + by, pace);
    return at === index + 1 ? withLength(phase, after - by, pace) : phase;
  });
}

/** The pattern of a preset, with the words of phases of the same kind kept in their order. */
export function presetPattern(newId: NewId, preset: PresetId, from: Pattern): Pattern {
  const found = PRESETS.find((one) => one.id === preset);
  if (!found) return from;
  const left = [...from];
  return found.phases.map(({ kind, share, seconds, action }) => {
    const at = left.findIndex((phase) => phase.kind === kind);
    const [words] = at >= 0 ? left.splice(at, 1) : [];
    const base = words ?? makePhase(newId, { kind });
    return { ...base, kind, share, seconds, action: action === '' ? base.action : action };
  });
}

/** The shortest a phase can be, in its own seconds or as a share. */
function leastLength(phase: Phase, pace: Pace): Seconds {
  const { phaseSeconds: own, share } = LIMITS;
  return phase.seconds === null ? Math.max(own.min, share.min * pace.breathSeconds) : own.min;
}

/** The phase with a length in seconds, kept as seconds where it has its own, else as a share in whole hundredths. */
function withLength(phase: Phase, seconds: Seconds, pace: Pace): Phase {
  const { min, max } = LIMITS.phaseSeconds;
  if (phase.seconds !== null) {
    return { ...phase, seconds: Math.round(Math.min(max, Math.max(min, seconds)) * 10) / 10 };
  }
  const share = Math.round((seconds / pace.breathSeconds) * 100) / 100;
  return { ...phase, share: Math.min(LIMITS.share.max, Math.max(LIMITS.share.min, share)) };
}
