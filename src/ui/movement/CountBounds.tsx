import { asksRounds, MOVEMENT_LIMITS as LIMITS, type MovementContent } from '@/core/movement';
import { NumberField } from '@/ui/parts/NumberField';
import type { SetContent } from './set-content';
import { TimeBounds } from './TimeBounds';

interface Props {
  readonly movement: MovementContent;
  readonly set: SetContent;
}

/** Bounds that the fit keeps to: rounds and their multiple, or a time. */
export function CountBounds({ movement, set }: Props) {
  const multiple = (
    <NumberField
      label="In multiples of"
      value={movement.multiple}
      min={1}
      max={LIMITS.rounds}
      onChange={(value) => set('multiple', value)}
    />
  );
  if (!asksRounds(movement.pacedBy)) {
    return (
      <>
        <TimeBounds timed={movement} set={set} />
        {movement.pacedBy === 'clock' && multiple}
      </>
    );
  }
  return (
    <>
      <NumberField
        label="At least"
        value={movement.minRounds}
        min={1}
        max={movement.maxRounds}
        onChange={(value) => set('minRounds', value)}
      />
      <NumberField
        label="At most"
        value={movement.maxRounds}
        min={movement.minRounds}
        max={LIMITS.rounds}
        onChange={(value) => set('maxRounds', value)}
      />
      {multiple}
      {movement.pacedBy === 'breath-then-own-pace' && <TimeBounds timed={movement} of=" at own pace" set={set} />}
    </>
  );
}
