import { useEffect } from 'react';
import type { Performance } from '@/core/conductor';
import { shownAt, type ShownClass } from '@/core/live';
import { BreathColumn } from './BreathColumn';
import type { OverlayPart } from './overlay-parts';
import { ShownHeading } from './ShownHeading';
import { Tide } from './Tide';
import { usePlace } from './use-place';

interface Props {
  readonly shown: ShownClass;
  readonly state: Performance;
  /** Whether a prompter was heard of yet. */
  readonly heard: boolean;
  /** Laid over a picture, with these parts; `null` for a screen of its own. */
  readonly over: readonly OverlayPart[] | null;
}

/** Words of a line stay so long after they were said, over a picture. */
const CAPTION_STAYS = 2;

/** The class for a second screen: movement, side and round, the breath as the tide, what is said, what comes next. */
export function StageView({ shown, state, heard, over }: Props) {
  const seeThrough = over !== null;
  useEffect(() => {
    if (seeThrough) document.documentElement.classList.add('see-through');
  }, [seeThrough]);
  const place = usePlace(state, shown);
  const begun = state.mode === 'running' || state.mode === 'held';
  const now = shownAt(shown, begun ? place : -1);
  const has = (part: OverlayPart): boolean => over === null || over.includes(part);
  const said = begun && (over === null || place < now.saidUntil + CAPTION_STAYS) ? now.said : '';
  const waiting = state.mode === 'done' ? 'Thank you.' : heard ? shown.title : 'Waiting for the prompter';
  return (
    <main
      aria-label={seeThrough ? 'Overlay' : 'Second screen'}
      className={`fixed inset-0 overflow-hidden ${seeThrough ? 'stage-over' : 'bg-base-100'}`}
      data-testid="stage"
      data-mode={state.mode}
    >
      {!seeThrough && <Tide timeline={shown} state={state} />}
      {seeThrough && has('breath') && begun && <BreathColumn timeline={shown} state={state} />}
      <div className="relative flex h-full flex-col justify-between p-[5%]">
        {has('movement') && (
          <div className={seeThrough ? 'stage-part' : ''}>
            {begun ? <ShownHeading shown={now} as="h1" /> : <h1 className="prompter-told font-semibold">{waiting}</h1>}
          </div>
        )}
        <div className="mt-auto">
          {has('caption') && said !== '' && (
            <p data-testid="said" className={`prompter-next font-serif ${seeThrough ? 'stage-part mx-auto' : ''}`}>
              {said}
            </p>
          )}
          {!seeThrough && begun && now.next !== '' && <p className="mt-6 text-3xl">then {now.next}</p>}
        </div>
      </div>
    </main>
  );
}
