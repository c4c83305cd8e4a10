import { TURNED_VIEW } from '../language';
import { saidBefore } from '../context';
import { isMovement, type ClassCheck } from '../model';

/** The camera sees the instructor from another side than before, and nothing that is said prepares for it. */
export const viewUnsaid: ClassCheck = {
  name: 'view-unsaid',
  group: 'side',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    let view = 'front';
    return steps.flatMap((context, at) => {
      if (!isMovement(context) || context.step.view === view) return [];
      view = context.step.view;
      const before = steps[at - 1];
      const said = `${before && !isMovement(before) ? before.said : ''} ${saidBefore(context)}`;
      if (TURNED_VIEW.test(said)) return [];
      return [{ stepId: context.step.id, facts: { view } }];
    });
  },
};
