import { itemAt } from '@/core/units';
import { changePlanTexts } from '@/core/plan';
import { withSpelling } from '@/core/words';
import { termsOf } from '../language';
import { fixBy, type ClassCheck } from '../model';

/** One term in two spellings. One finding a term, at the spelling that is used less. */
export const twoSpellings: ClassCheck = {
  name: 'two-spellings',
  group: 'words',
  gravity: 'should',
  of: 'class',
  find: ({ plan, steps, ownTerms }) => {
    const uses = new Map<string, Map<string, { count: number; stepId: string }>>();
    for (const { step, texts } of steps) {
      for (const { text } of texts) {
        for (const { term, variant } of termsOf(text, ownTerms)) {
          const spellings = uses.get(term) ?? new Map<string, { count: number; stepId: string }>();
          const use = spellings.get(variant) ?? { count: 0, stepId: step.id };
          spellings.set(variant, { ...use, count: use.count + 1 });
          uses.set(term, spellings);
        }
      }
    }
    return [...uses].flatMap(([term, spellings]) => {
      if (spellings.size < 2) return [];
      const byUse = [...spellings].sort((a, b) => b[1].count - a[1].count || (a[0] < b[0] ? -1 : 1));
      const [[max], [rare, { stepId }]] = [itemAt(byUse, 0), itemAt(byUse, byUse.length - 1)];
      const edit = changePlanTexts(plan, (text) => withSpelling(text, term, max, ownTerms));
      return [{ stepId, detail: term, facts: { one: max, other: rare }, fix: fixBy(edit) }];
    });
  },
};
