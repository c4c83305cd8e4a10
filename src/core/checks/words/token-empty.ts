import type { Shortened } from '@/core/movement';
import { emptyTokens } from '@/core/words';
import { Wording } from '@/core/timeline';
import { isMovement, lineAt, placeName, turnsOf, type ClassPlan, type Moment, type StepText } from '@/core/plan';
import type { StepCheck, StepContext } from '../model';

/** A token stands where there is nothing to fill it with: a side in a movement without sides, a round before the rounds. */
export const tokenEmpty: StepCheck = {
  name: 'token-empty',
  group: 'words',
  gravity: 'must',
  of: 'step',
  find: (context, plan) => {
    const withTokens = context.texts.filter(({ text }) => text.includes('{'));
    if (withTokens.length === 0) return [];
    return withTokens.flatMap((text) => {
      const [token] = emptyTokens(text.text, factsFor(text, context, plan));
      if (token === undefined) return [];
      return [{ stepId: context.step.id, detail: placeName(text.place), facts: { token, text: text.text } }];
    });
  },
};

/** What the tokens of a text stand for the first time it is said. */
function factsFor({ place }: StepText, { step, timed }: StepContext, plan: ClassPlan) {
  const line = lineAt(place);
  const counted = place.part === 'phase' || (line !== null && COUNTED.has(line));
  const rounds = isMovement(step) && counted ? Math.max(1, timed.rounds) : 0;
  const turn = isMovement(step) && counted ? (turnsOf(step, rounds)[0] ?? null) : null;
  const moment: Moment = { at: 0, turn, rounds };
  const facts = new Wording(plan).facts(step, moment);
  // What follows depends on the class; it is empty only behind the last movement.
  return { ...facts, nextMovement: facts.nextMovement || 'the next' };
}

const COUNTED: ReadonlySet<Shortened> = new Set<Shortened>(['roundsLeft', 'lastRound', 'sideChange']);
