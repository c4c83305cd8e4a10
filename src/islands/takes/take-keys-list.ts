import type { KeyLine } from '@/ui/parts/KeyList';

/** What the keyboard does in a take; none of it while text is typed. */
export const TAKE_KEYS: readonly KeyLine[] = [
  { keys: 'Space', does: 'play or pause' },
  { keys: 'J, K', does: 'next or previous line, and hear it' },
  { keys: 'Enter', does: 'hear the chosen line again' },
  { keys: 'O', does: 'loop the chosen line, or stop the loop' },
  { keys: '←, →', does: 'the line 0.1 s earlier or later' },
  { keys: 'Shift ←, Shift →', does: 'the line 1 s earlier or later' },
  { keys: 'H', does: 'set the line to the place that is playing' },
  { keys: 'X', does: 'the line was not said' },
  { keys: 'R', does: 'confirm the line as it was found' },
  { keys: 'N', does: 'next most uncertain line' },
  { keys: 'Ctrl Z', does: 'undo' },
];
