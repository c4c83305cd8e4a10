import { useMemo } from 'react';
import type { ClassResponse } from '@/api/classes';
import { READY } from '@/core/conductor';
import { shownClass } from '@/core/live';
import { expandPlan, spellTimeline } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import type { OverlayPart } from './overlay-parts';
import { StageView } from './StageView';
import { useLocalStanding } from './use-local-standing';

interface Props {
  readonly stored: ClassResponse;
  readonly spelling: Spelling;
  readonly over: readonly OverlayPart[] | null;
}

/** A second screen of the same browser, in step with its prompter without a server. */
export function LocalStage({ stored, spelling, over }: Props) {
  const heard = useLocalStanding(stored.id);
  const plan = heard?.performed ?? stored.plan;
  const shown = useMemo(() => shownClass(plan, spellTimeline(expandPlan(plan), spelling)), [plan, spelling]);
  return <StageView shown={shown} state={heard?.state ?? READY} heard={heard !== null} over={over} />;
}
