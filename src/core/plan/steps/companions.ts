export const COMPANIONS = ['none', 'next', 'previous'] as const;
/** The neighbour that a step is left out with, so that no change of feet leads nowhere. */
export type Companion = (typeof COMPANIONS)[number];

/** A new step goes with no other, stands in no block, is performed, and stays whatever the length. */
export const ALONE = {
  pinned: false,
  skipped: false,
  blockId: null,
  tieId: null,
  goesWith: 'none',
  priority: 'always',
} as const;
