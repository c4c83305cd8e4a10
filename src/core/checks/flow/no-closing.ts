import { isMovement, type ClassCheck } from '../model';

/** The class has no closing. */
export const noClosing: ClassCheck = {
  name: 'no-closing',
  group: 'flow',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) =>
    !steps.some(isMovement) || steps.some(({ section }) => section.role === 'closing') ? [] : [{ stepId: null }],
};
