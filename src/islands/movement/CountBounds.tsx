import { MOVEMENT_LIMITS as LIMITS, type MovementContent } from '@/core/movement';
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
      least={1}
      most={LIMITS.rounds}
      onChange={(value) => set('multiple', value)}
    />
  );
  if (movement.lead !== 'breath') {
    const bounds = LIMITS.quietSeconds;
    return (
      <>
        <div className="grid grid-cols-2 gap-2">
          <ClockField
            label="At least"
            seconds={movement.leastSeconds}
            least={bounds.least}
            most={movement.mostSeconds}
            onChange={(value) => set('leastSeconds', value)}
          />
          <ClockField
            label="At most"
            seconds={movement.mostSeconds}
            least={movement.leastSeconds}
            most={bounds.most}
            onChange={(value) => set('mostSeconds', value)}
          />
        </div>
        {movement.lead === 'clock' && multiple}
      </>
    );
  }
  return (
    <>
      <NumberField
        label="At least"
        value={movement.leastRounds}
        least={1}
        most={movement.mostRounds}
        onChange={(value) => set('leastRounds', value)}
      />
      <NumberField
        label="At most"
        value={movement.mostRounds}
        least={movement.leastRounds}
        most={LIMITS.rounds}
        onChange={(value) => set('mostRounds', value)}
      />
      {multiple}
    </>
  );
}
