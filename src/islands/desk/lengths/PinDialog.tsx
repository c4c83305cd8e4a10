import { contractOf, findStep, isMovement, LIMITS, setPlan, withLengthPin, type LengthPin } from '@/core/plan';
import { withEach } from '@/messages/sides';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ClockField } from '@/ui/parts/ClockField';
import { Counter } from '@/ui/parts/Counter';
import { Dialog } from '@/ui/parts/Dialog';
import { NumberField } from '@/ui/parts/NumberField';
import type { LengthFit } from '@/workers/fitter/protocol';
import { useDesk, useDeskStore } from '../use-desk';

interface Props {
  readonly lengthId: string;
  readonly stepId: string;
  readonly fit: LengthFit | null;
  readonly onClose: () => void;
}

/** What one length keeps for one step, whatever the fit would choose. */
export function PinDialog({ lengthId, stepId, fit, onClose }: Props) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const length = plan.lengths.find((one) => one.id === lengthId);
  const step = findStep(plan, stepId)?.step;
  if (!length || !step) return null;
  const pin = length.pins.find((one) => one.stepId === stepId);
  const fitted = fit ? findStep(fit.plan, stepId)?.step : undefined;
  const set = (part: Partial<LengthPin>): void => {
    const value = withLengthPin(desk.getState().plan.lengths, lengthId, stepId, part);
    desk.edit(setPlan('lengths', value), `pin ${lengthId} ${stepId}`);
  };
  const wish = contractOf(step).wish(step);
  const wished = fitted ? contractOf(fitted).wish(fitted)?.value : undefined;
  const out = pin?.skipped ?? fitted?.skipped ?? false;
  return (
    <Dialog title={`${step.name}, ${length.name}`} onClose={onClose}>
      <CheckBox
        label="Skipped in this length"
        checked={out}
        onChange={(skipped) => set({ skipped, rounds: null, seconds: null })}
      />
      {wish?.what === 'rounds' && !out && (
        <Counter
          label={withEach('Rounds', isMovement(step) ? step.sides : 'together')}
          value={pin?.rounds ?? wished ?? 1}
          min={1}
          max={LIMITS.rounds}
          step={wish.multiple}
          onChange={(value) => set({ rounds: value, skipped: false })}
        />
      )}
      {wish?.what === 'time' && !out && (
        <ClockField
          label="Time"
          seconds={pin?.seconds ?? wished ?? LIMITS.countedSeconds.min}
          {...LIMITS.countedSeconds}
          onChange={(value) => set({ seconds: value, skipped: false })}
        />
      )}
      <p className="quiet-ink my-2 text-sm">{pin ? 'Pinned in this length.' : 'The fit chooses here.'}</p>
      <div className="flex gap-2">
        <button type="button" className="btn btn-primary btn-sm" onClick={onClose}>
          Done
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={!pin}
          onClick={() => set({ skipped: null, rounds: null, seconds: null })}
        >
          Let the fit choose
        </button>
      </div>
    </Dialog>
  );
}

/** The breath that one length keeps, whatever the fit would choose. */
export function BreathPinDialog({ lengthId, fit, onClose }: Omit<Props, 'stepId'>) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const length = plan.lengths.find((one) => one.id === lengthId);
  if (!length) return null;
  const breath = length.breathSeconds ?? fit?.plan.pace.breathSeconds ?? plan.pace.breathSeconds;
  const set = (breathSeconds: number | null): void => {
    const lengths = desk.getState().plan.lengths.map((one) => (one.id === lengthId ? { ...one, breathSeconds } : one));
    desk.edit(setPlan('lengths', lengths), `breath ${lengthId}`);
  };
  return (
    <Dialog title={`Breath at the start,  ${length.name}`} onClose={onClose}>
      <NumberField
        label="One breath"
        unit="s"
        digits={1}
        step={0.1}
        value={breath}
        {...LIMITS.breathSeconds}
        onChange={set}
      />
      <p className="quiet-ink my-2 text-sm">
        {length.breathSeconds === null ? 'The fit chooses here.' : 'Pinned in this length.'}
      </p>
      <div className="flex gap-2">
        <button type="button" className="btn btn-primary btn-sm" onClick={onClose}>
          Done
        </button>
        <button type="button" className="btn btn-sm" disabled={length.breathSeconds === null} onClick={() => set(null)}>
          Let the fit choose
        </button>
      </div>
    </Dialog>
  );
}
