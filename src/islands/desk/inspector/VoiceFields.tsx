import { useContext } from 'react';
import { sameDocument } from '@/core/document';
import { LIMITS, setPlan, type ClassPlan } from '@/core/plan';
import { NumberField } from '@/ui/parts/NumberField';
import { StudioContext } from '../studio-context';
import { useDesk, useDeskStore } from '../use-desk';

/** How the instructor speaks in a class. */
export function VoiceFields() {
  const desk = useDeskStore();
  const voice = useDesk((state) => state.plan.voice);
  const set = (change: Partial<ClassPlan['voice']>): void => {
    desk.edit(setPlan('voice', { ...voice, ...change }), 'plan voice');
  };
  return (
    <>
      <h3 className="mt-2 font-semibold">Voice</h3>
      <NumberField
        label="Speaking rate, syllables a minute"
        step={5}
        value={voice.syllablesPerMinute}
        {...LIMITS.syllablesPerMinute}
        onChange={(value) => set({ syllablesPerMinute: value })}
      />
      <MyVoice />
      <NumberField
        label="Lead before a motion"
        unit="s"
        digits={1}
        step={0.1}
        value={voice.leadSeconds}
        {...LIMITS.leadSeconds}
        onChange={(value) => set({ leadSeconds: value })}
      />
      <NumberField
        label="Pause after a line"
        unit="s"
        digits={1}
        step={0.1}
        value={voice.pauseSeconds}
        {...LIMITS.habitSeconds}
        onChange={(value) => set({ pauseSeconds: value })}
      />
    </>
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
