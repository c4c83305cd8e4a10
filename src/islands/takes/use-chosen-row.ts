import { useState } from 'react';
import { leastCertain, type Reading } from '@/core/reading';
import { LEAD } from './PlayerDock';
import type { usePlayer } from './player';
import type { Row } from './rows';
import { placeOf, UNSURE_BELOW } from './TakeStrip';

/** The row that is worked on; choosing one plays it, where there is sound. */
export function useChosenRow(
  rows: readonly Row[],
  reading: Reading,
  player: ReturnType<typeof usePlayer>,
  hasSound: boolean,
) {
  const [chosen, setChosen] = useState<string | null>(reading.cues.at(0)?.id ?? null);
  const row = rows.find(({ key }) => key === chosen) ?? null;
  const choose = (next: Row): void => {
    setChosen(next.key);
    const place = placeOf(next);
    player.setLoop(null);
    if (place && hasSound) player.playFrom(place.startSeconds - LEAD);
  };
  const loop = (): void => {
    const place = row && placeOf(row);
    if (player.loop || !place) player.setLoop(null);
    else {
      player.setLoop({ from: Math.max(0, place.startSeconds - LEAD), to: place.endSeconds + LEAD });
      player.playFrom(place.startSeconds - LEAD);
    }
  };
  const unsure = leastCertain(reading, UNSURE_BELOW);
  const nextUnsure = (): void => {
    const next = unsure.find(({ id }) => id !== chosen) ?? unsure.at(0);
    const found = next && rows.find(({ key }) => key === next.id);
    if (found) choose(found);
  };
  return { chosen, setChosen, row, choose, loop, unsure, nextUnsure };
}
