import type { Side } from '@/core/words';

/** What a side or way is called where it stands alone. */
export const SIDE_NAMES: Readonly<Record<Side, string>> = {
  left: 'left',
  right: 'right',
  'one-way': 'one way',
  'other-way': 'other way',
  'left-one-way': 'left, one way',
  'left-other-way': 'left, other way',
  'right-one-way': 'right, one way',
  'right-other-way': 'right, other way',
};
