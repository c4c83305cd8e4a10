import { isCounted } from '@/core/movement';
import { LAST } from '../language';
import { isMovement, type StepCheck } from '../model';
import { setting } from '../fixes';

/** The last round is announced twice: by its line, and again by the words of a phase. */
export const lastTwice: StepCheck = {
  name: 'last-twice',
  group: 'count',
  gravity: 'must',
  of: 'step',
  find: (context) => {
    const { step, cues, timed } = context;
    if (!isMovement(context) || !isCounted(context.step.pacedBy)) return [];
    const count = (text: string): number => [...text.toLowerCase().matchAll(new RegExp(LAST, 'g'))].length;
    const bySide = new Map<string, number>();
    for (const cue of cues) {
      if (cue.round !== timed.rounds) continue;
      const times = count(cue.text);
      if (times === 0) continue;
      // Where sides alternate the line before both belongs to both.
      const side = context.step.sides === 'alternating' ? '' : (cue.side ?? '');
      bySide.set(side, (bySide.get(side) ?? 0) + times);
    }
    const max = Math.max(0, ...bySide.values());
    if (max < 2) return [];
    return [
      {
        stepId: step.id,
        facts: { times: max },
        fix: setting(context.step, { lastRoundLine: '', shorts: { ...context.step.shorts, lastRound: '' } }),
      },
    ];
  },
};
