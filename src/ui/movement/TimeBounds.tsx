import { MOVEMENT_LIMITS } from '@/core/movement';
import type { Seconds } from '@/core/units';
import { ClockField } from '@/ui/parts/ClockField';

interface Props {
  readonly timed: { readonly minSeconds: Seconds; readonly maxSeconds: Seconds };
  /** What of it, behind "At least" and "At most". */
  readonly of?: string;
  readonly set: (field: 'minSeconds' | 'maxSeconds', value: Seconds) => void;
}

/** How far the fit may go from a time that was asked for. */
export function TimeBounds({ timed, of = '', set }: Props) {
  const { min, max } = MOVEMENT_LIMITS.countedSeconds;
  return (
    <div className="grid grid-cols-2 gap-2">
      <ClockField
        label={`At least${of}`}
        seconds={timed.minSeconds}
        min={min}
        max={timed.maxSeconds}
        onChange={(value) => set('minSeconds', value)}
      />
      <ClockField
        label={`At most${of}`}
        seconds={timed.maxSeconds}
        min={timed.minSeconds}
        max={max}
        onChange={(value) => set('maxSeconds', value)}
      />
    </div>
  );
}
