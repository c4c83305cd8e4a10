import {
  asksRounds,
  checkContent,
  copyContent,
  hasFreeTime,
  hasLegs,
  isCounted,
  mirrored,
  sideCount,
  type Stance,
} from '@/core/movement';
import { toSeconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import type { StepContract } from '../contract';
import { withLastPause } from '../speech';
import { TIME_FIELDS, timeStretch, timeWish } from '../timed';
import {
  aroundMilliseconds,
  countsMilliseconds,
  freeMilliseconds,
  freeWordsMilliseconds,
  movementRoundMilliseconds,
  roundsOf,
} from './durations';
import { makeMovement } from './make';
import type { MovementStep } from './schema';
import { movementBody, movementSettings } from './settings';
import { changedMovementTexts, isSaidInMovement } from './texts';
import { sidesOf } from './turns';
import { writeMovement } from './write';

export const movement: StepContract<MovementStep> = {
  make: (newId, name) => makeMovement(newId, name || NEW_NAMES.movement),
  blank: (newId, name) => makeMovement(newId, name, { pattern: [] }),
  withNewIds: (newId, step) => copyContent(newId, step),
  check: (step, at, once) => checkContent(step, at, once),
  mirrored: mirroredMovement,
  mostCues: (step) => {
    const around = step.teach.length + step.levels.reduce((sum, { lines }) => sum + lines.length, 0) + 5;
    const over = step.during.reduce(
      (sum, { on, number }) => sum + (on === 'every' ? step.rounds / Math.max(1, number) : 1),
      0,
    );
    return around + Math.ceil(sideCount(step.sides) * (step.rounds * step.pattern.length + 3 + over));
  },
  milliseconds: (step, { voice, pace, breathSeconds }) => {
    const around = aroundMilliseconds(step, voice);
    const free = hasFreeTime(step.pacedBy) ? freeMilliseconds(step, voice) : 0;
    if (!isCounted(step.pacedBy)) return around + free;
    return around + free + countsMilliseconds(step, pace, breathSeconds, roundsOf(step, pace, breathSeconds));
  },
  counted: (step, { pace, breathSeconds }) => {
    if (!isCounted(step.pacedBy)) return null;
    const round = movementRoundMilliseconds(step, pace, breathSeconds);
    return {
      rounds: roundsOf(step, pace, breathSeconds),
      roundMilliseconds: round * (step.sides === 'alternating' ? 2 : 1),
    };
  },
  write: writeMovement,
  tokens: (step) => ({
    sides: sidesOf(step),
    startSide: step.startSide,
    counting: step.counting,
    style: {
      ...(step.breathWay ? { breath: step.breathWay } : {}),
      ...(step.belly ? { belly: step.belly } : {}),
      ...(step.outBreath ? { outBreath: step.outBreath } : {}),
    },
    level: step.levels[0]?.name.toLowerCase() ?? '',
  }),
  changedTexts: changedMovementTexts,
  isSaid: isSaidInMovement,
  wordFields: ['intro', 'fade', 'fadePins'],
  amountFields: ['rounds', 'preferredRounds', 'minRounds', 'maxRounds', ...TIME_FIELDS],
  wish: (step) =>
    asksRounds(step.pacedBy)
      ? {
          what: 'rounds',
          value: step.rounds,
          preferred: step.preferredRounds,
          min: step.minRounds,
          max: step.maxRounds,
          multiple: step.multiple,
          fields: { value: 'rounds', preferred: 'preferredRounds', min: 'minRounds', max: 'maxRounds' },
        }
      : timeWish(step),
  parts: (step, voice, stays) => {
    const around = aroundMilliseconds(step, voice);
    if (!hasFreeTime(step.pacedBy)) return { fixed: around, stretch: null };
    if (stays) return { fixed: around + freeMilliseconds(step, voice), stretch: null };
    return { fixed: around, stretch: timeStretch(step, 'own', freeWordsMilliseconds(step, voice)) };
  },
  stretched: (_, length) => ({ seconds: toSeconds(length) }),
  stances: (step) => {
    const turned = step.startSide === 'right' && hasLegs(step.sides);
    const seen = (stance: Stance | null): Stance | null => (turned ? mirrored(stance) : stance);
    return { start: seen(step.stanceStart), end: seen(step.stanceEnd) };
  },
  onlyLeads: false,
  isChapter: true,
  companion: () => 'none',
  always: () => false,
  settings: movementSettings,
  body: movementBody,
  withLine: (step, line) => ({ ...step, teach: [...step.teach, line] }),
  withPause: (step, seconds) =>
    step.teach.length === 0 ? null : { ...step, teach: withLastPause(step.teach, seconds) },
};

/** Begun on the other side; where it has no sides, stood in the other way. */
function mirroredMovement(step: MovementStep): MovementStep {
  if (hasLegs(step.sides)) return { ...step, startSide: step.startSide === 'left' ? 'right' : 'left' };
  return { ...step, stanceStart: mirrored(step.stanceStart), stanceEnd: mirrored(step.stanceEnd) };
}
