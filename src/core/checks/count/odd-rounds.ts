import { isCounted } from '@/core/movement';
import { saidDuring } from '../context';
import { isMovement, type StepCheck } from '../model';
import { setting } from '../fixes';

const CHANGES =
  /\b(?:the )?other (?:side|leg|foot|arm|hand|way)\b(?! about\b)|\balternat(?:e|ing)\b|\bchange (?:sides|legs|feet|arms|hands)\b/;

/** By its words a movement changes sides from round to round, and an odd count leaves one side with a round more. */
export const oddRounds: StepCheck = {
  name: 'odd-rounds',
  group: 'count',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    const { timed } = context;
    if (!isMovement(context) || !isCounted(context.step.pacedBy) || context.step.sides !== 'together') return [];
    if (timed.rounds % 2 === 0 || !CHANGES.test(saidDuring(context))) return [];
    return [
      {
        stepId: context.step.id,
        facts: { rounds: timed.rounds },
        fix: setting(context.step, { sides: 'alternating' }),
      },
    ];
  },
};
