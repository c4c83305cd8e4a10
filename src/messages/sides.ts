import type { Side } from '@/core/words';

/** What a side or way is called where it stands alone. */
export const SIDE_NAMES: Readonly<Record<Side, string>> = {
  left: 'left',
  right: 'right',
  'one-way': 'one way',
  'other-way': 'other way',
};
