import { breathsPerMinute, closingBreathSeconds } from '@/core/breath';
import { breathAsked, LIMITS, setPlan, type PlanPace } from '@/core/plan';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { NumberField } from '@/ui/parts/NumberField';
import { useDesk, useDeskStore } from '../use-desk';

/** The breath of a class from its start to its end. */
export function BreathFields() {
  const desk = useDeskStore();
  const pace = useDesk((state) => state.plan.pace);
  const set = (next: PlanPace): void => {
    desk.edit(setPlan('pace', next), 'plan pace');
  };
  const setPace = (change: Partial<PlanPace>): void => set({ ...pace, ...change });
  const breath = LIMITS.breathSeconds;
  return (
    <>
      <h3 className="mt-2 font-semibold">Breath</h3>
      <NumberField
        label="Breath at the start"
        unit="s"
        digits={1}
        step={0.1}
        value={pace.breathSeconds}
        {...breath}
        onChange={(value) => set(breathAsked(pace, value))}
      />
      <p className="quiet-ink text-sm">
        {breathsPerMinute(pace.breathSeconds).toFixed(1)} a minute; {closingBreathSeconds(pace).toFixed(1)} s at the end
      </p>
      <NumberField
        label="Breath at the end, × the start"
        unit="×"
        digits={2}
        step={0.05}
        value={pace.closingRatio}
        {...LIMITS.closingRatio}
        onChange={(value) => setPace({ closingRatio: value })}
      />
      <NumberField
        label="Shortest breath"
        unit="s"
        digits={1}
        step={0.1}
        value={pace.minBreathSeconds}
        min={breath.min}
        max={pace.maxBreathSeconds}
        onChange={(value) => setPace({ minBreathSeconds: value })}
      />
      <NumberField
        label="Longest breath"
        unit="s"
        digits={1}
        step={0.1}
        value={pace.maxBreathSeconds}
        min={pace.minBreathSeconds}
        max={breath.max}
        onChange={(value) => setPace({ maxBreathSeconds: value })}
      />
      <NumberField
        label="Inhale share at the start"
        unit="%"
        value={Math.round(pace.inhaleShare * 100)}
        min={LIMITS.inhaleShare.min * 100}
        max={LIMITS.inhaleShare.max * 100}
        onChange={(value) =>
          setPace({
            inhaleShare: value / 100,
            closingInhaleShare: pace.closingInhaleShare === pace.inhaleShare ? value / 100 : pace.closingInhaleShare,
          })
        }
      />
      <NumberField
        label="Inhale share at the end"
        unit="%"
        value={Math.round(pace.closingInhaleShare * 100)}
        min={LIMITS.inhaleShare.min * 100}
        max={LIMITS.inhaleShare.max * 100}
        onChange={(value) => setPace({ closingInhaleShare: value / 100 })}
      />
      <Choice
        label="From start to end"
        value={pace.curve}
        options={[
          { value: 'straight', label: 'evenly' },
          { value: 'eased', label: 'gently at both ends' },
        ]}
        onChange={(curve) => setPace({ curve })}
      />
      <CheckBox label="Pin the breath" checked={pace.pinned} onChange={(pinned) => setPace({ pinned })} />
    </>
  );
}
