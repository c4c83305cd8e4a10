import { isCounted } from '@/core/movement';
import { itemAt } from '@/core/units';
import { changeTexts, lineAt, placeName, type StepText } from '@/core/plan';
import { A_NUMBER, numberOf } from '../language';
import { fixBy, isMovement, type MovementContext, type StepCheck } from '../model';

const ROUNDS = new RegExp(
  `\\b(${A_NUMBER}) (?:rounds|round|times|(?=(?:on )?each (?:side|way)\\b)|(?=to (?:each|the) side\\b))`,
  'i',
);
const MORE = new RegExp(`\\b(${A_NUMBER}) more\\b`, 'i');

/** A number of rounds is written out, and the plan has another. */
export const numberWrong: StepCheck = {
  name: 'number-wrong',
  group: 'count',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    return context.texts.flatMap((text) => {
      const wrong = wrongIn(text, context);
      if (!wrong) return [];
      const fixed = changeTexts(context.step, (one) =>
        one === text.text ? one.replace(wrong.written, wrong.token) : one,
      );
      return [
        {
          stepId: context.step.id,
          detail: placeName(text.place),
          facts: { text: text.text, said: wrong.said, planned: wrong.planned },
          fix: fixBy(fixed),
        },
      ];
    });
  },
};

interface Wrong {
  readonly written: string;
  readonly token: string;
  readonly said: number;
  readonly planned: number;
}

/** What is written and is wrong in a text: rounds anywhere, rounds left in a line that is said on one round alone. */
function wrongIn({ text, place }: StepText, { timed }: MovementContext): Wrong | null {
  const rounds = ROUNDS.exec(text);
  const said = rounds && numberOf(itemAt(rounds, 1));
  // "Last one each side" and "four breaths to one round" count nothing.
  if (rounds && said !== null && said !== 1 && said !== timed.rounds) {
    return { written: itemAt(rounds, 1), token: '{rounds}', said, planned: timed.rounds };
  }
  const more = MORE.exec(text);
  const left = more && numberOf(itemAt(more, 1));
  if (!more || left === null) return null;
  const line = lineAt(place);
  const planned = line === 'lastRound' ? 1 : line === 'roundsLeft' ? 2 : null;
  return planned === null || planned === left
    ? null
    : { written: itemAt(more, 1), token: '{rounds left}', said: left, planned };
}
