import { checkContent, copyContent, mirrored, sideCount, type Stance } from '@/core/movement';
import { toSeconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import type { StepContract } from '../contract';
import { withLastPause } from '../speech';
import { TIME_FIELDS, timeStretch, timeWish } from '../timed';
import {
  aroundMilliseconds,
  countMilliseconds,
  movementRoundMilliseconds,
  ownMilliseconds,
  ownWordsMilliseconds,
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
  mostCues: (step) => step.teach.length + sideCount(step.sides) * (step.rounds * step.pattern.length + 1) + 1,
  milliseconds: (step, { voice, pace, breathSeconds }) => {
    const around = aroundMilliseconds(step, voice);
    if (step.pacedBy === 'own-pace') return around + ownMilliseconds(step, voice);
    return around + roundsOf(step, pace, breathSeconds) * countMilliseconds(step, pace, breathSeconds);
  },
  counted: (step, { pace, breathSeconds }) => {
    if (step.pacedBy === 'own-pace') return null;
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
    level: step.levels[0]?.name.toLowerCase() ?? '',
  }),
  changedTexts: changedMovementTexts,
  isSaid: isSaidInMovement,
  wordFields: ['intro', 'fade', 'fadePins'],
  amountFields: ['rounds', 'preferredRounds', 'minRounds', 'maxRounds', ...TIME_FIELDS],
  wish: (step) =>
    step.pacedBy === 'breath'
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
    if (step.pacedBy !== 'own-pace') return { fixed: around, stretch: null };
    if (stays) return { fixed: around + ownMilliseconds(step, voice), stretch: null };
    return { fixed: around, stretch: timeStretch(step, 'own', ownWordsMilliseconds(step, voice)) };
  },
  stretched: (_, length) => ({ seconds: toSeconds(length) }),
  stances: (step) => {
    const turned = step.startSide === 'right' && (step.sides === 'alternating' || step.sides === 'one-then-other');
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
