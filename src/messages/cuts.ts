import type { CutReason } from '@/core/reading';

/** Why a stretch is cut out, as it stands in a list. */
export const CUT_NAMES: Readonly<Record<CutReason, string>> = {
  head: 'before the class',
  tail: 'after the class',
  silence: 'dead air',
  'ad-lib': 'ad-lib',
  fluff: 'marked by hand',
};
