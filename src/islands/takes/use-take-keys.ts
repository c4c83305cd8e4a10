import { useEffect, useRef } from 'react';
import { withCue, type HandWork } from '@/core/reading';
import type { Seconds } from '@/core/units';
import { useKey } from '@/ui/parts/use-keys';
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
  /** Nothing is bound while something lies over the take. */
  readonly enabled: boolean;
}

/** The keyboard of a take: see `TAKE_KEYS`. Nothing happens while text is typed. */
export function useTakeKeys(keys: Keys): void {
  const { rows, row, work, player, choose, loop, nextUnsure, change, undo, enabled } = keys;
  const cue = row?.kind === 'cue' ? row.cue : null;
  const options = { enabled };
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
    if (cue) set((cue.actualStart ?? cue.plannedStart) + by);
  };
  // Space and Enter on a button press it.
  const onButton = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement && event.target.closest('button, a, summary') !== null;
  useKey('space', () => player.toggle(), { ...options, ignoreEventWhen: onButton });
  useKey('enter', () => row && choose(row), { enabled, preventDefault: false, ignoreEventWhen: onButton });
  useKey('j', () => step(1), options);
  useKey('k', () => step(-1), options);
  useKey('o', loop, options);
  useKey('left', () => nudge(-0.1), options);
  useKey('right', () => nudge(0.1), options);
  useKey('shift+left', () => nudge(-1), options);
  useKey('shift+right', () => nudge(1), options);
  useKey('h', () => set(player.seconds), options);
  useKey('x', () => set(null), options);
  useKey('r', () => cue && set(cue.actualStart), options);
  useKey('n', nextUnsure, options);
  useKey('mod+z', () => undo?.(), options);
}
