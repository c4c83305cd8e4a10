import { fillGapsEdit, landingSecondsOf, LIMITS, setPlan, stanceGaps } from '@/core/plan';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { FitWords } from '../words/FitWords';
import { BreathFields } from './BreathFields';
import { StyleFields } from './StyleFields';
import { ThemeFields } from './ThemeFields';
import { VoiceFields } from './VoiceFields';
import { useDesk, useDeskStore } from '../use-desk';

/** What holds for the whole class. */
export function ClassFields({ onWords }: { readonly onWords: () => void }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const set = (...change: Parameters<typeof setPlan>): void => {
    desk.edit(setPlan(...change), `plan ${change[0]}`);
  };
  return (
    <div className="flex flex-col gap-1">
      <TextField
        label="Title"
        needed
        value={plan.title}
        max={LIMITS.titleCharacters}
        className="text-lg font-semibold"
        onChange={(value) => set('title', value)}
      />
      <TextField
        label="Focus"
        value={plan.focus}
        max={LIMITS.noteCharacters}
        onChange={(value) => set('focus', value)}
      />
      <TextField
        label="For whom"
        value={plan.audience}
        max={LIMITS.noteCharacters}
        onChange={(value) => set('audience', value)}
      />
      <div className="my-1">
        <ClockField
          bare="minutes"
          label="Target"
          seconds={plan.targetSeconds}
          min={LIMITS.targetSeconds.min}
          max={LIMITS.targetSeconds.max}
          onChange={(value) => set('targetSeconds', value)}
        />
        <NumberField
          label="Landing tolerance"
          unit="s"
          digits={1}
          step={0.5}
          value={landingSecondsOf(plan, plan.targetSeconds)}
          {...LIMITS.landingSeconds}
          onChange={(value) => set('landingSeconds', value)}
        />
      </div>
      <StanceGaps />
      <BreathFields />
      <StyleFields />
      <NumberField
        label="Silence in a movement"
        unit="%"
        step={5}
        value={Math.round(plan.silenceShare * 100)}
        min={LIMITS.silenceShare.min * 100}
        max={LIMITS.silenceShare.max * 100}
        onChange={(value) => set('silenceShare', value / 100)}
      />
      <FitWords stepId={null} />
      <CheckBox
        label="Keep words fitted"
        checked={plan.keepWordsFitted}
        onChange={(kept) => desk.edit(setPlan('keepWordsFitted', kept))}
      />
      <button type="button" className="btn btn-sm btn-outline self-start" onClick={onWords}>
        Find and replace, cue sheet
      </button>
      <ThemeFields />
      <VoiceFields />
    </div>
  );
}

/** Changes of stance without a transition, all at once. */
function StanceGaps() {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const gaps = stanceGaps(plan);
  if (gaps.length === 0) return null;
  return (
    <div className="bg-secondary my-2 rounded p-2 text-sm">
      {gaps.length === 1 ? 'One change of stance has' : `${gaps.length} changes of stance have`} no transition.{' '}
      <button
        type="button"
        className="btn btn-xs"
        onClick={() => desk.edit(fillGapsEdit(() => crypto.randomUUID(), gaps))}
      >
        {gaps.length === 1 ? 'Add it' : `Add all ${gaps.length}`}
      </button>
    </div>
  );
}
