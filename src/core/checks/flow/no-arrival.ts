import { isMovement, type ClassCheck } from '../model';

/** The class moves before anybody has arrived: nothing at all comes before its first movement, or only a welcome. */
export const noArrival: ClassCheck = {
  name: 'no-arrival',
  group: 'flow',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    if (!steps.some(isMovement)) return [];
    const arrives = steps.some(({ section }) => section.role === 'arrival');
    const stands = /\bfeet\b|\bstand\b|\bknees\b|\bsit tall\b|\bshoulders\b/;
    const first = steps.findIndex(isMovement);
    if (arrives || steps.slice(0, first).some(({ said }) => stands.test(said))) return [];
    return [{ stepId: null }];
  },
};
