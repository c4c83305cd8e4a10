import { useState } from 'react';
import { LIMITS } from '@/core/plan';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import type { Begin } from './begin';

/** An empty class with a target and a breath. */
export function FromNothing({ begin, busy }: { readonly begin: Begin; readonly busy: boolean }) {
  const [targetSeconds, setTarget] = useState(600);
  const [breathSeconds, setBreath] = useState(9);
  return (
    <div className="flex max-w-sm flex-col gap-3">
      <ClockField
        bare="minutes"
        label="Target"
        seconds={targetSeconds}
        least={LIMITS.targetSeconds.least}
        most={LIMITS.targetSeconds.most}
        onChange={setTarget}
      />
      <NumberField
        label="One breath"
        unit="s"
        digits={1}
        step={0.1}
        value={breathSeconds}
        {...LIMITS.breathSeconds}
        onChange={setBreath}
      />
      <button
        type="button"
        className="btn btn-primary self-start"
        disabled={busy}
        onClick={() => begin({ from: 'nothing', targetSeconds, breathSeconds }, 'New class')}
      >
        Begin
      </button>
    </div>
  );
}
