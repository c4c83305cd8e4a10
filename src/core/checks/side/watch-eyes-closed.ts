import { says } from '@/core/meaning';
import type { ClassCheck } from '../model';
import { followEyes } from './eyes';

/** Something to watch, while eyes are closed. */
export const watchEyesClosed: ClassCheck = {
  name: 'watch-eyes-closed',
  group: 'side',
  gravity: 'must',
  of: 'class',
  find: ({ steps }) => {
    const found = followEyes(steps).filter(({ cue, closed }) => closed && cue && says(cue.text, 'watch'));
    const firsts = new Map(found.map((place) => [place.context.step.id, place]));
    return [...firsts.values()].map(({ context, cue }) => ({
      stepId: context.step.id,
      cueId: cue?.id,
      facts: { text: cue?.text ?? '' },
    }));
  },
};
