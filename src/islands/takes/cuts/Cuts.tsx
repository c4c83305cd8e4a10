import { useEffect, useMemo, useState } from 'react';
import {
  DEAD_AIR,
  keptSeconds,
  keptStretches,
  proposeCuts,
  withCut,
  withCutAt,
  withDeadAirOf,
  wordsIn,
} from '@/core/cuts';
import type { Cut, Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import { formatClock, formatExactClock, type Seconds } from '@/core/units';
import { CUT_NAMES } from '@/messages/cuts';
import { CheckBox } from '@/ui/parts/CheckBox';
import { NumberField } from '@/ui/parts/NumberField';
import type { Player } from '../player';

interface Props {
  readonly timeline: Timeline;
  readonly reading: Reading;
  /** As they were left; `null` where nobody has cut. */
  readonly cuts: readonly Cut[] | null;
  readonly player: Player;
  readonly hasSound: boolean;
  readonly onCuts: (cuts: readonly Cut[]) => void;
  /** Shows a cut beside the player, to be put right. */
  readonly onChoose: (index: number) => void;
}

/** What is left out of the edited version: proposed, chosen, marked at the playhead, and heard without. */
export function Cuts({ timeline, reading, cuts, player, hasSound, onCuts, onChoose }: Props) {
  const [deadAir, setDeadAir] = useState<Seconds>(DEAD_AIR.usual);
  const [begun, setBegun] = useState<Seconds | null>(null);
  const proposed = useMemo(() => proposeCuts(timeline, reading, deadAir), [timeline, reading, deadAir]);
  const shown = cuts ?? proposed;
  const [skipping, setSkipping] = useSkipping(player, shown);
  const runtime = reading.totals.runtimeSeconds;
  const left = keptSeconds(keptStretches(shown, runtime));
  const mark = (): void => {
    if (begun === null) return setBegun(player.seconds);
    const [startSeconds, endSeconds] = [Math.min(begun, player.seconds), Math.max(begun, player.seconds)];
    if (endSeconds > startSeconds) onCuts(withCut(shown, { startSeconds, endSeconds, reason: 'fluff', on: true }));
    setBegun(null);
  };
  return (
    <div className="p-4">
      <p className="mb-2">
        The edited version lasts <strong>{formatClock(left)}</strong>; {formatClock(runtime - left)} of{' '}
        {formatClock(runtime)} are cut out. {cuts === null && 'These cuts are only proposed so far.'}
      </p>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        {cuts === null && (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => onCuts(proposed)}>
            Use these cuts
          </button>
        )}
        <button type="button" className="btn btn-sm" disabled={!hasSound} onClick={mark}>
          {begun === null
            ? `Start a cut at ${formatExactClock(player.seconds)}`
            : `End it at ${formatExactClock(player.seconds)}, started at ${formatExactClock(begun)}`}
        </button>
        {hasSound && <CheckBox label="Play the edited version" checked={skipping} onChange={setSkipping} />}
        <span className="flex items-center gap-2">
          <NumberField
            label="Dead air from"
            value={deadAir}
            min={DEAD_AIR.min}
            max={DEAD_AIR.max}
            unit="s"
            onChange={setDeadAir}
          />
          {cuts !== null && (
            <button type="button" className="btn btn-sm" onClick={() => onCuts(withDeadAirOf(cuts, proposed))}>
              Search again
            </button>
          )}
        </span>
      </div>
      {shown.length === 0 ? (
        <p>Nothing to cut was found. Play the take, and start a cut where you want one.</p>
      ) : (
        <>
          <div className="mb-1">
            <CheckBox
              label={`All ${shown.length} cuts`}
              checked={shown.every(({ on }) => on)}
              onChange={(on) => onCuts(shown.map((cut) => ({ ...cut, on })))}
            />
          </div>
          <ul aria-label="Cuts">
            {shown.map((cut, index) => (
              <Row
                key={`${cut.startSeconds} ${cut.reason}`}
                cut={cut}
                words={wordsIn(reading, cut)}
                hasSound={hasSound}
                onMake={(on) => onCuts(withCutAt(shown, index, { ...cut, on }))}
                onHear={() => player.playFrom(Math.max(0, cut.startSeconds - 2))}
                onChoose={() => {
                  if (cuts === null) onCuts(proposed);
                  onChoose(index);
                }}
              />
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

interface RowProps {
  readonly cut: Cut;
  readonly words: string;
  readonly hasSound: boolean;
  readonly onMake: (on: boolean) => void;
  readonly onHear: () => void;
  readonly onChoose: () => void;
}

function Row({ cut, words, hasSound, onMake, onHear, onChoose }: RowProps) {
  const { startSeconds, endSeconds, reason, on } = cut;
  const name = `${CUT_NAMES[reason]} at ${formatClock(startSeconds)}`;
  return (
    <li className="border-base-300 flex min-h-11 flex-wrap items-center gap-x-3 border-b">
      <input
        type="checkbox"
        className="checkbox"
        aria-label={`Cut ${name}`}
        checked={on}
        onChange={(event) => onMake(event.target.checked)}
      />
      <span className="w-40 tabular-nums">
        {formatExactClock(startSeconds)} to {formatExactClock(endSeconds)}
      </span>
      <span className="w-16 text-right tabular-nums">{(endSeconds - startSeconds).toFixed(1)} s</span>
      <span className={`min-w-0 flex-1 max-xl:order-last max-xl:basis-full ${on ? '' : 'quiet-ink'}`}>
        {CUT_NAMES[reason]}
        {on ? '' : ', stays'}
        {words !== '' && <span className="block font-serif">“{words}”</span>}
      </span>
      {hasSound && (
        <button type="button" className="btn btn-sm" onClick={onHear}>
          Hear<span className="sr-only"> {name}</span>
        </button>
      )}
      <button type="button" className="btn btn-sm" onClick={onChoose}>
        Change<span className="sr-only"> {name}</span>
      </button>
    </li>
  );
}

/** While it is on, playing jumps over what is cut. */
function useSkipping({ playing, seconds, playFrom }: Player, cuts: readonly Cut[]) {
  const [skipping, setSkipping] = useState(false);
  useEffect(() => {
    if (!skipping || !playing) return;
    const inside = cuts.find((cut) => cut.on && seconds >= cut.startSeconds && seconds < cut.endSeconds - 0.05);
    if (inside) playFrom(inside.endSeconds);
  }, [skipping, playing, seconds, playFrom, cuts]);
  return [skipping, setSkipping] as const;
}
