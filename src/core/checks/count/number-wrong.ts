import { isCounted } from '@/core/movement';
import { itemAt } from '@/core/units';
import { changeTexts, lineAt, placeName, type MovementStep, type StepText } from '@/core/plan';
import { A_NUMBER, numberOf } from '../language';
import { fixBy, isMovement, type MovementContext, type StepCheck } from '../model';

/** "The first two rounds are for learning", "after three rounds": not all of them. */
const NOT_ALL = '(?<!\\b(?:first|last|next|final|other|another|every|these|those|after|until|till|before) )';
const ROUNDS = new RegExp(
  `${NOT_ALL}\\b(${A_NUMBER}) (?:rounds|round|times|(?=(?:on )?each (?:side|way)\\b)|(?=to (?:each|the) side\\b))`,
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

/** How many rounds are left where a line is said; `null` where it is said on several, or on none. */
function leftAt(step: MovementStep, place: StepText['place']): number | null {
  if (place.part === 'during') {
    const line = step.during.find(({ id }) => id === place.lineId);
    return line?.on === 'last' ? line.number : null;
  }
  // What calls people back from their own pace counts nothing.
  if (step.pacedBy === 'breath-then-own-pace') return null;
  const line = lineAt(place);
  return line === 'lastRound' ? 1 : line === 'roundsLeft' ? 2 : null;
}

/** What is written and is wrong in a text: rounds anywhere, rounds left in a line that is said on one round alone. */
function wrongIn({ text, place }: StepText, { step, timed }: MovementContext): Wrong | null {
  const rounds = ROUNDS.exec(text);
  const said = rounds && numberOf(itemAt(rounds, 1));
  // "Last one each side" and "four breaths to one round" count nothing.
  if (rounds && said !== null && said !== 1 && said !== timed.rounds) {
    return { written: itemAt(rounds, 1), token: '{rounds}', said, planned: timed.rounds };
  }
  const more = MORE.exec(text);
  const left = more && numberOf(itemAt(more, 1));
  if (!more || left === null) return null;
  const planned = leftAt(step, place);
  return planned === null || planned === left
    ? null
    : { written: itemAt(more, 1), token: '{rounds left}', said: left, planned };
}
