import { asksRounds } from '@/core/movement';
import { sidesNamed } from '@/core/meaning';
import { itemAt, remembered } from '@/core/units';
import { isMovement, type ClassCheck, type MovementContext } from '../model';
import { setting } from '../fixes';

const sidesOfText = remembered(sidesNamed);

/** The one side that a movement without a side plan is done on, by its words; `null` where it names none or both. */
function sideOf(context: MovementContext): 'left' | 'right' | null {
  if (context.step.sides !== 'together') return null;
  const named = new Set(context.texts.flatMap(({ text }) => sidesOfText(text)).concat(sidesOfText(context.step.name)));
  return named.size === 1 ? ([...named][0] ?? null) : null;
}

/** The same movement is done on the left and on the right in steps of their own, with unequal rounds. */
export const sidesUnequal: ClassCheck = {
  name: 'sides-unequal',
  group: 'count',
  gravity: 'must',
  of: 'class',
  find: ({ steps }) => {
    const pairs = new Map<string, { left: MovementContext[]; right: MovementContext[] }>();
    for (const context of steps) {
      if (!isMovement(context)) continue;
      const side = sideOf(context);
      if (!side) continue;
      const name = context.step.name
        .toLowerCase()
        .replace(/\b(?:left|right)\b|[(),]/g, '')
        .replace(/\s+/g, ' ')
        .trim();
      const pair = pairs.get(name) ?? { left: [], right: [] };
      pair[side].push(context);
      pairs.set(name, pair);
    }
    const rounds = (side: readonly MovementContext[]): number => side.reduce((sum, one) => sum + one.timed.rounds, 0);
    return [...pairs.values()].flatMap(({ left, right }) => {
      const [leftRounds, rightRounds] = [rounds(left), rounds(right)];
      // A movement that is done on one side alone has no other to be unequal to.
      if (leftRounds === rightRounds || left.length === 0 || right.length === 0) return [];
      const fewer = itemAt(leftRounds < rightRounds ? left : right, 0);
      const { step } = fewer;
      const more = Math.max(leftRounds, rightRounds) - Math.min(leftRounds, rightRounds);
      const fix = asksRounds(fewer.step.pacedBy) ? setting(fewer.step, { rounds: fewer.timed.rounds + more }) : null;
      return [{ stepId: step.id, facts: { left: leftRounds, right: rightRounds }, fix }];
    });
  },
};
