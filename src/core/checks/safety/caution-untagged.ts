import type { Caution } from '@/core/movement';
import { says, showsItself } from '@/core/meaning';
import { taughtIn } from '../context';
import { setting } from '../fixes';
import { isMovement, type StepCheck } from '../model';

/** What shows by its words that it asks for a caution. A low head and a held breath have checks of their own. */
const SHOWN = [
  'forward-bend',
  'balance',
  'tapping',
  'shaking',
  'reversed-breath',
] as const satisfies readonly Caution[];
/** By which question the words of a line show it, where no pattern does. */
const ASKED = { 'forward-bend': 'bends', balance: 'oneLeg', tapping: 'taps', shaking: 'shakes' } as const;

function shows(text: string, caution: (typeof SHOWN)[number]): boolean {
  if (says(text, caution)) return true;
  // What a pattern has found to be something else is not asked for again.
  if (caution === 'reversed-breath' || says(text, 'head-low') || SHOWN.some((one) => says(text, one))) return false;
  return showsItself(ASKED[caution], text);
}

/** A movement is, by what is said in it, a fold, a balance, a tapping or the like, and is not marked as one. */
export const cautionUntagged: StepCheck = {
  name: 'caution-untagged',
  group: 'safety',
  gravity: 'should',
  of: 'step',
  find: (context) => {
    if (!isMovement(context)) return [];
    const { step } = context;
    const taught = taughtIn(context);
    return SHOWN.flatMap((caution) => {
      if (step.cautions.includes(caution) || !taught.some((text) => shows(text, caution))) return [];
      return [
        {
          stepId: step.id,
          detail: caution,
          facts: { caution },
          fix: setting(step, { cautions: [...step.cautions, caution] }),
        },
      ];
    });
  },
};
