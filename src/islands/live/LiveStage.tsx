import type { LiveResponse } from '@/api/live';
import type { OverlayPart } from './overlay-parts';
import { StageView } from './StageView';
import { useFollowed } from './use-followed';

interface Props {
  readonly live: LiveResponse;
  readonly over: readonly OverlayPart[] | null;
}

/** A second screen on any device, or the overlay of a streaming program. */
export function LiveStage({ live, over }: Props) {
  const { shown, state } = useFollowed(live);
  return <StageView shown={shown} state={state} heard over={over} />;
}
