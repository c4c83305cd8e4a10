import type { ClassCheck } from '../model';
import { foundWhere } from './caution-missing';

/** A movement's caution is said after the movement has begun. */
export const cautionLate: ClassCheck = {
  name: 'caution-late',
  group: 'safety',
  gravity: 'must',
  of: 'class',
  find: (context) => foundWhere(context, 'late'),
};
