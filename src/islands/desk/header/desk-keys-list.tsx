import type { KeyLine } from '@/ui/parts/KeyList';

/** What the keyboard does on the desk; none of it while text is typed. */
export const DESK_KEYS: readonly KeyLine[] = [
  { keys: 'Ctrl Z', does: 'undo' },
  { keys: 'Ctrl Shift Z', does: 'redo' },
  { keys: 'J, K', does: 'next step, previous step' },
  { keys: 'E', does: 'go to the first field of the chosen step, or of the class' },
  { keys: 'A', does: 'add a step to the section of the chosen step' },
  { keys: 'Shift J, Shift K', does: 'choose the next or previous step as well' },
  { keys: 'Alt ↓, Alt ↑', does: 'move the chosen step down or up' },
  { keys: '+, −', does: 'one round more or fewer in the chosen movement' },
  { keys: 'F', does: 'fit to the target' },
  { keys: 'L', does: 'lengths side by side, or back to the timeline' },
  { keys: 'C', does: 'show or hide the checks' },
  { keys: 'W', does: 'find and replace words, import a cue sheet' },
  { keys: 'G', does: 'open the prompter' },
  { keys: 'Escape', does: 'leave a field; then leave the chosen step' },
];

export function DeskKeysNote() {
  return (
    <p className="quiet-ink mt-3 text-sm">
      To move a step with the keyboard from the list at the left: go to its handle, press Space, use the arrows, press
      Space again.
    </p>
  );
}
