import type { ClassCheck } from '../model';
import { foundWhere } from './caution-missing';

/** Something is forbidden, allowed or left open before the movement begins, and its caution is not known in it. */
export const cautionUnclear: ClassCheck = {
  name: 'caution-unclear',
  group: 'safety',
  gravity: 'should',
  of: 'class',
  find: (context) => foundWhere(context, 'unclear'),
};
