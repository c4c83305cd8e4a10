import { asksRounds, MOVEMENT_LIMITS as LIMITS, type MovementContent } from '@/core/movement';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import type { SetContent } from './set-content';

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
  const bounds = LIMITS.countedSeconds;
  const time = (of: string) => (
    <div className="grid grid-cols-2 gap-2">
      <ClockField
        label={`At least${of}`}
        seconds={movement.minSeconds}
        min={bounds.min}
        max={movement.maxSeconds}
        onChange={(value) => set('minSeconds', value)}
      />
      <ClockField
        label={`At most${of}`}
        seconds={movement.maxSeconds}
        min={movement.minSeconds}
        max={bounds.max}
        onChange={(value) => set('maxSeconds', value)}
      />
    </div>
  );
  if (!asksRounds(movement.pacedBy)) {
    return (
      <>
        {time('')}
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
      {movement.pacedBy === 'breath-then-own-pace' && time(' at own pace')}
    </>
  );
}
