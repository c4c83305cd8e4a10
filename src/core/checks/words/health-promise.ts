import { changeTexts, placeName } from '@/core/plan';
import { claimIn } from '@/core/meaning';
import { fixBy, type StepCheck } from '../model';

/** A line promises something for health, or says that it is safe for somebody. */
export const healthPromise: StepCheck = {
  name: 'health-promise',
  group: 'words',
  gravity: 'must',
  of: 'step',
  find: ({ step, texts }) =>
    texts.flatMap(({ text, place }) => {
      const claim = claimIn(text);
      if (!claim) return [];
      const edit = changeTexts(step, (one) => (one === text ? withoutClaims(text) : one));
      const words = text.slice(claim.from, claim.to);
      const facts = { words, plainer: claim.plainer, text };
      return [{ stepId: step.id, detail: placeName(place), facts, fix: fixBy(edit) }];
    }),
};

/** Sentences of a line put right at most. */
const SENTENCES = 20;

/** The text with a plainer sentence for each that claims something. */
function withoutClaims(text: string): string {
  let now = text;
  for (let count = 0; count < SENTENCES; count++) {
    const claim = claimIn(now);
    if (!claim) break;
    const { from, to } = claim.sentence;
    now = `${now.slice(0, from)}${claim.plainer}${now.slice(to)}`;
  }
  return now;
}
