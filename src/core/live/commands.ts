import type { DoneEvent, Performance } from '@/core/conductor';

/** What a phone may do to a performance from afar. */
export const COMMANDS = ['go', 'hold', 'next-line', 'line-back', 'next-step', 'stay'] as const;
export type Command = (typeof COMMANDS)[number];

/** A press that comes later than this is not meant for what is shown now. */
export const COMMAND_MILLISECONDS = 8_000;

/**
 * The event that a command is, as things stand; `null` where it does nothing. Whoever presses sees what was a moment
 * ago, so going on while it runs and holding while it is held are no events, and never the opposite.
 */
export function eventOfCommand(
  command: Command,
  { mode, by }: { readonly mode: string; readonly by: Performance['by'] },
): DoneEvent['kind'] | null {
  if (command === 'go') {
    if (mode === 'ready' || mode === 'done') return 'start';
    return mode === 'held' ? 'go-on' : null;
  }
  if (mode !== 'running' && mode !== 'held') return null;
  if (command === 'hold') return mode === 'running' ? 'hold' : null;
  if (command === 'stay') return by === 'clock' ? 'by-hand' : 'by-clock';
  return command;
}
