import { KeyList } from '@/ui/parts/KeyList';

const KEYS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: 'Ctrl Z', does: 'undo' },
  { keys: 'Ctrl Shift Z', does: 'redo' },
  { keys: 'J, K', does: 'next step, step before' },
  { keys: 'Shift J, Shift K', does: 'choose the next step, or the one before, as well' },
  { keys: 'Alt ↓, Alt ↑', does: 'move the chosen step down or up' },
  { keys: '+, −', does: 'one round more or fewer in the chosen movement' },
  { keys: 'F', does: 'fit to the target' },
  { keys: 'L', does: 'lengths side by side, or back to the strip' },
  { keys: 'C', does: 'the checks, or back to what is chosen' },
  { keys: 'W', does: 'find and replace words, bring a cue sheet' },
  { keys: 'G', does: 'open the guide' },
  { keys: 'Esc', does: 'leave the chosen step' },
  { keys: '?', does: 'this list' },
];

/** What the keyboard does here; none of it while text is typed. */
export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <KeyList keys={KEYS} onClose={onClose}>
      <p className="quiet-ink mt-3 text-sm">
        To move a step with the keyboard from the list at the left: go to its handle, press space, use the arrows, press
        space again.
      </p>
    </KeyList>
  );
}
