import { KeyList } from '@/ui/parts/KeyList';

const KEYS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: 'Space', does: 'play or pause' },
  { keys: 'J, K', does: 'next line, line before, and hear it' },
  { keys: 'Enter', does: 'hear the chosen line again' },
  { keys: 'O', does: 'hear it over and over, or stop that' },
  { keys: '←, →', does: 'the line 0.1 s earlier or later' },
  { keys: 'Shift ←, Shift →', does: 'the line 1 s earlier or later' },
  { keys: 'H', does: 'the line begins here, where the recording is' },
  { keys: 'X', does: 'the line was not said' },
  { keys: 'R', does: 'the line is right as it was found' },
  { keys: 'N', does: 'the next line that is least sure' },
  { keys: 'Ctrl Z', does: 'undo' },
  { keys: '?', does: 'this list' },
];

/** What the keyboard does in a take; none of it while text is typed. */
export function TakeKeys({ onClose }: { readonly onClose: () => void }) {
  return <KeyList keys={KEYS} onClose={onClose} />;
}
