import type { MovementStep } from '@/core/plan';
import { themed } from '@/core/words';
import { setting } from '../fixes';
import { nameIsSaid } from '@/core/meaning';
import { isMovement, type Fix, type StepCheck } from '../model';

/** A movement's name, in any of its names, is never said in it; what is no name, as "Exercise 4", need not be. */
export const neverNamed: StepCheck = {
  name: 'never-named',
  group: 'flow',
  gravity: 'could',
  of: 'step',
  find: (context, plan) => {
    // Done once more, it has its name from before.
    if (!isMovement(context) || context.again) return [];
    const { step } = context;
    const theme = plan.themes.find(({ id }) => id === plan.themeId) ?? null;
    const names = [themed(theme, step.name), step.name, step.traditionalName, ...step.otherNames];
    const said = [...new Set(context.cues.map(({ text }) => text))];
    if (names.some((name) => name !== '' && said.some((text) => nameIsSaid(name, text)))) return [];
    return [
      {
        stepId: step.id,
        facts: { name: step.name },
        fix: sayNaming(step),
      },
    ];
  },
};

/** Says the name as the movement begins; where nothing is said around it, its short wordings are. */
function sayNaming(step: MovementStep): Fix | null {
  const naming = '{movement}.';
  return setting(step, {
    moments: { ...step.moments, naming },
    shorts: { ...step.shorts, naming: '' },
    intro: step.intro === 'silent' ? 'short' : step.intro,
  });
}
