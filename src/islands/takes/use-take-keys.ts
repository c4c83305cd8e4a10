import { useEffect, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { withCue, type HandWork } from '@/core/reading';
import type { Seconds } from '@/core/units';
import type { Player } from './player';
import type { Row } from './rows';

interface Keys {
  readonly rows: readonly Row[];
  readonly row: Row | null;
  readonly work: HandWork;
  readonly player: Player;
  readonly choose: (row: Row) => void;
  readonly loop: () => void;
  readonly nextUnsure: () => void;
  readonly change: (work: HandWork) => void;
  readonly undo: (() => void) | null;
  readonly showKeys: () => void;
  /** Nothing is bound while something lies over the take. */
  readonly enabled: boolean;
}

/** The keyboard of a take: see `TakeKeys`. Nothing happens while text is typed. */
export function useTakeKeys(keys: Keys): void {
  const { rows, row, work, player, choose, loop, nextUnsure, change, undo, showKeys, enabled } = keys;
  const cue = row?.kind === 'cue' ? row.cue : null;
  const options = { enabled, preventDefault: true };
  /** What was chosen last, also when keys come quicker than the page is drawn. */
  const latest = useRef<string | null>(null);
  useEffect(() => {
    latest.current = row?.key ?? null;
  }, [row]);
  const step = (by: 1 | -1): void => {
    const lines = rows.filter(({ kind }) => kind !== 'step');
    const found = lines.findIndex(({ key }) => key === latest.current);
    const at = found >= 0 ? found : by > 0 ? -1 : lines.length;
    const next = lines.at(Math.min(lines.length - 1, Math.max(0, at + by)));
    if (!next) return;
    latest.current = next.key;
    choose(next);
  };
  const set = (seconds: Seconds | null): void => {
    if (cue) change(withCue(work, cue.id, seconds));
  };
  const nudge = (by: Seconds): void => {
    if (cue) set((cue.saidAtSeconds ?? cue.plannedSeconds) + by);
  };
  // Space and Enter on a button press it.
  const onButton = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement && event.target.closest('button, a, summary') !== null;
  useHotkeys('space', () => player.toggle(), { ...options, ignoreEventWhen: onButton });
  useHotkeys('enter', () => row && choose(row), { enabled, ignoreEventWhen: onButton });
  useHotkeys('j', () => step(1), options);
  useHotkeys('k', () => step(-1), options);
  useHotkeys('o', loop, options);
  useHotkeys('left', () => nudge(-0.1), options);
  useHotkeys('right', () => nudge(0.1), options);
  useHotkeys('shift+left', () => nudge(-1), options);
  useHotkeys('shift+right', () => nudge(1), options);
  useHotkeys('h', () => set(player.seconds), options);
  useHotkeys('x', () => set(null), options);
  useHotkeys('r', () => cue && set(cue.saidAtSeconds), options);
  useHotkeys('n', nextUnsure, options);
  useHotkeys('mod+z', () => undo?.(), options);
  useHotkeys('?', showKeys, { ...options, useKey: true });
}
