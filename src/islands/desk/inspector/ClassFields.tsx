import { useContext } from 'react';
import { sameDocument } from '@/core/document';
import { breathsPerMinute, closingBreathSeconds } from '@/core/breath';
import { breathAsked, fillGapsEdit, LIMITS, setPlan, stanceGaps } from '@/core/plan';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { ClockField } from '@/ui/parts/ClockField';
import { NumberField } from '@/ui/parts/NumberField';
import { TextField } from '@/ui/parts/TextField';
import { FitWords } from '../words/FitWords';
import { StyleFields } from './StyleFields';
import { ThemeFields } from './ThemeFields';
import { useDesk, useDeskStore } from '../use-desk';
import { StudioContext } from '../studio-context';

/** What holds for the whole class. */
export function ClassFields({ onWords }: { readonly onWords: () => void }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const { pace, voice } = plan;
  const set = (...change: Parameters<typeof setPlan>): void => {
    desk.edit(setPlan(...change), `plan ${change[0]}`);
  };
  const setPace = (change: Partial<typeof pace>): void => set('pace', { ...pace, ...change });
  const breath = LIMITS.breathSeconds;
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
      </div>
      <StanceGaps />
      <h3 className="mt-2 font-semibold">Breath</h3>
      <NumberField
        label="Breath at the start"
        unit="s"
        digits={1}
        step={0.1}
        value={pace.breathSeconds}
        {...breath}
        onChange={(value) => set('pace', breathAsked(pace, value))}
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
      <h3 className="mt-2 font-semibold">Voice</h3>
      <NumberField
        label="Speaking rate, syllables a minute"
        step={5}
        value={voice.syllablesPerMinute}
        {...LIMITS.syllablesPerMinute}
        onChange={(value) => set('voice', { ...voice, syllablesPerMinute: value })}
      />
      <MyVoice />
      <NumberField
        label="Lead before a motion"
        unit="s"
        digits={1}
        step={0.1}
        value={voice.leadSeconds}
        {...LIMITS.leadSeconds}
        onChange={(value) => set('voice', { ...voice, leadSeconds: value })}
      />
      <NumberField
        label="Pause after a line"
        unit="s"
        digits={1}
        step={0.1}
        value={voice.pauseSeconds}
        {...LIMITS.habitSeconds}
        onChange={(value) => set('voice', { ...voice, pauseSeconds: value })}
      />
    </div>
  );
}

/** Takes the studio's measured rate over, where the class has another. */
function MyVoice() {
  const desk = useDeskStore();
  const voice = useDesk((state) => state.plan.voice);
  const { voice: mine } = useContext(StudioContext);
  if (mine === null) {
    return (
      <a className="link text-sm" href="/voice">
        Measure my voice
      </a>
    );
  }
  const wanted = {
    ...voice,
    syllablesPerMinute: Math.round(mine.syllablesPerMinute),
    pauseSeconds: mine.pauseSeconds ?? voice.pauseSeconds,
  };
  if (sameDocument(wanted, voice)) return <p className="quiet-ink text-sm">This class uses my voice.</p>;
  return (
    <button type="button" className="btn btn-xs self-start" onClick={() => desk.edit(setPlan('voice', wanted))}>
      Use my voice: {wanted.syllablesPerMinute}
      {mine.pauseSeconds !== null && `, pauses of ${mine.pauseSeconds.toFixed(1)} s`}
    </button>
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
