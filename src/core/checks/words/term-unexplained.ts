import { allTerms } from '@/core/words';
import { termsOf } from '../language';
import type { ClassCheck } from '../model';

/** A term of the trade is used before it is explained. One finding a term, at its first use. */
export const termUnexplained: ClassCheck = {
  name: 'term-unexplained',
  group: 'words',
  gravity: 'could',
  of: 'class',
  find: ({ steps, ownTerms }) => {
    const terms = allTerms(ownTerms);
    const met = new Set<string>();
    const explained = new Set<string>();
    return steps.flatMap(({ step, cues }) =>
      cues.flatMap((cue) =>
        termsOf(cue.text, ownTerms).flatMap(({ term, variant }) => {
          if (explainedIn(cue.text, variant)) explained.add(term);
          if (explained.has(term) || met.has(term)) return [];
          met.add(term);
          if (terms.find((one) => one.term === term)?.known) return [];
          return [{ stepId: step.id, cueId: cue.id, detail: term, facts: { term: variant, text: cue.text } }];
        }),
      ),
    );
  },
};

/** Whether a line says what the term is: "the dantian, the lower belly", "qi means breath". */
function explainedIn(text: string, variant: string): boolean {
  const after = text.slice(text.toLowerCase().indexOf(variant.toLowerCase()) + variant.length);
  const before = text.slice(0, text.toLowerCase().indexOf(variant.toLowerCase()));
  return (
    /^(?:,| –| —| \(| means| is the| is your| is called|, that is)/.test(after) ||
    /(?:called|named|what we call|known as) (?:the )?$/i.test(before)
  );
}
