export const PROMPTER_KEYS = [
  { keys: 'Space', does: 'start, pause, resume' },
  { keys: '→ or ↓', does: 'next line' },
  { keys: '← or ↑', does: 'previous line' },
  { keys: 'Page down or S, Page up', does: 'next movement, previous movement' },
  { keys: '+, −', does: 'one round more, one fewer' },
  { keys: 'Enter', does: 'change what is left, so that the class ends on time' },
  { keys: 'H', does: 'wait for me at each line, or follow the clock' },
  { keys: 'E', does: 'follow me by ear, or the clock' },
  { keys: 'F', does: 'full screen' },
  { keys: 'M', does: 'mirror' },
  { keys: 'Escape', does: 'close the prompter' },
  { keys: '?', does: 'these keys' },
] as const;
