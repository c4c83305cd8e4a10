import { type StepText, placeName, type CueSource } from '@/core/plan';
import type { Side } from '@/core/words';
import { sidesNamed } from '@/core/meaning';
import { withSideToken } from '../fixes';
import { isMovement, type StepCheck } from '../model';

/** A side is written out where the side changes from turn to turn: it is wrong on one of them. */
export const sideWrong: StepCheck = {
  name: 'side-wrong',
  group: 'side',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || (context.step.sides !== 'alternating' && context.step.sides !== 'one-then-other'))
      return [];
    const { step, cues } = context;
    return context.texts.flatMap((text) => {
      const [named, second] = sidesNamed(text.text);
      if (!named || second) return [];
      const wrong = cues.find((cue) => cue.side !== null && cue.side !== named && isSame(cue.source, text));
      if (!wrong) return [];
      return [
        {
          stepId: step.id,
          cueId: wrong.id,
          detail: placeName(text.place),
          facts: { text: text.text, said: named, side: wrong.side as Side },
          fix: withSideToken(step, text.text, named),
        },
      ];
    });
  },
};

function isSame(source: CueSource, { place }: StepText): boolean {
  // The announcement stands before the first phase's words and belongs to the turn that it announces.
  return placeName(source) === placeName(place);
}
