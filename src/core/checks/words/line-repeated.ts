import { remembered } from '@/core/units';
import { plainWords } from '../language';
import type { ClassCheck } from '../model';

/** The same line of four words or more, so many times in one class; common practice ("the same line twenty times"). */
const MOST = 12;
const WORDS = 4;

const wordCount = remembered((words: string) => words.split(' ').length);

/** One line is heard again and again. One finding a line, at its first. */
export const lineRepeated: ClassCheck = {
  name: 'line-repeated',
  group: 'words',
  gravity: 'could',
  of: 'class',
  find: ({ steps }) => {
    const heard = new Map<string, { count: number; text: string; stepId: string; cueId: string }>();
    for (const { step, cues } of steps) {
      for (const cue of cues) {
        const words = plainWords(cue.text);
        if (wordCount(words) < WORDS) continue;
        const before = heard.get(words) ?? { count: 0, text: cue.text, stepId: step.id, cueId: cue.id };
        heard.set(words, { ...before, count: before.count + 1 });
      }
    }
    return [...heard].flatMap(([words, { count, text, stepId, cueId }]) =>
      count > MOST ? [{ stepId, cueId, detail: words.slice(0, 200), facts: { text, count, max: MOST } }] : [],
    );
  },
};
