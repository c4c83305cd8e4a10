import { FRAME_RATES, keptSeconds, type FrameRate } from '@/core/cuts';
import type { Cutting } from '@/core/publish';
import { formatClock } from '@/core/units';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';

interface Props {
  readonly cutting: Cutting;
  readonly on: boolean;
  readonly rate: FrameRate;
  readonly onSwitch: (on: boolean) => void;
  readonly onRate: (rate: FrameRate) => void;
}

/** Whether the files are for the edited version, and how its picture is counted. */
export function CutVersion({ cutting, on, rate, onSwitch, onRate }: Props) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-6">
      <CheckBox
        label={`For the edited version, ${formatClock(keptSeconds(cutting.kept))}`}
        checked={on}
        onChange={onSwitch}
      />
      {on && (
        <Choice
          label="Frames a second"
          value={rate.id}
          options={FRAME_RATES.map(({ id }) => ({ value: id, label: id }))}
          onChange={(id) => onRate(FRAME_RATES.find((one) => one.id === id) ?? rate)}
        />
      )}
    </div>
  );
}
