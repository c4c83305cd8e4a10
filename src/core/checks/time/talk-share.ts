import { itemAt } from '@/core/units';
import type { ClassCheck } from '../model';

/** Share of a main or settling section that may be words; common practice, no published source. */
const MOST = 0.6;

/** A section that is meant for moving or settling is mostly words. */
export const talkShare: ClassCheck = {
  name: 'talk-share',
  group: 'time',
  gravity: 'could',
  of: 'class',
  find: ({ timeline, steps }) =>
    timeline.sections.flatMap(({ section, startSeconds, endSeconds }) => {
      const inside = steps.filter((context) => context.section.id === section);
      const length = endSeconds - startSeconds;
      const role = inside[0]?.section.role;
      if (length <= 0 || (role !== 'main' && role !== 'settling')) return [];
      const spoken = inside.reduce(
        (total, { cues }) => total + cues.reduce((sum, cue) => sum + cue.endSeconds - cue.startSeconds, 0),
        0,
      );
      if (spoken / length <= MOST) return [];
      const facts = {
        section: itemAt(inside, 0).section.title,
        percent: Math.round((100 * spoken) / length),
        max: 100 * MOST,
      };
      return [{ stepId: itemAt(inside, 0).step.id, detail: section, facts }];
    }),
};
