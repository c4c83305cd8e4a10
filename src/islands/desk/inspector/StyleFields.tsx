import { LIMITS } from '@/core/plan';
import {
  BELLIES,
  BREATH_WAYS,
  CIRCLE_STYLES,
  COUNTINGS,
  OUT_BREATHS,
  ROUND_STYLES,
  SIDE_STYLES,
  type TeachingStyle,
} from '@/core/words';
import {
  BELLY_WORDS,
  BREATH_WAY_WORDS,
  CIRCLE_WORDS,
  COUNTING_WORDS,
  OUT_BREATH_WORDS,
  ROUND_SCHOOL_WORDS,
  SIDE_SCHOOL_WORDS,
} from '@/messages/teaching-style';
import { Choice } from '@/ui/parts/Choice';
import { TextField } from '@/ui/parts/TextField';
import { useDesk, useDeskStore } from '../use-desk';

/** Where instructors disagree: what this class does. */
export function StyleFields() {
  const desk = useDeskStore();
  const style = useDesk((state) => state.plan.style);
  const set = (part: Partial<TeachingStyle>): void => {
    desk.edit({ kind: 'set-plan', field: 'style', value: { ...style, ...part } }, `style ${Object.keys(part).join()}`);
  };
  const choices = <Value extends string>(values: readonly Value[], words: Readonly<Record<Value, string>>) =>
    values.map((value) => ({ value, label: words[value] }));
  const mark = (field: 'leftMark' | 'rightMark', label: string) => (
    <TextField
      label={label}
      value={style[field]}
      max={LIMITS.titleCharacters}
      placeholder="window side"
      onChange={(value) => set({ [field]: value })}
    />
  );
  return (
    <>
      <h3 className="mt-2 font-semibold">Teaching style</h3>
      <Choice
        label="Counting"
        value={style.counting}
        options={choices(COUNTINGS, COUNTING_WORDS)}
        onChange={(counting) => set({ counting })}
      />
      <Choice
        label="Sides"
        value={style.sides}
        options={choices(SIDE_STYLES, SIDE_SCHOOL_WORDS)}
        onChange={(sides) => set({ sides })}
      />
      {style.sides === 'marks' && (
        <>
          {mark('leftMark', 'What stands at their left')}
          {mark('rightMark', 'What stands at their right')}
        </>
      )}
      <Choice
        label="Clockwise"
        value={style.circles}
        options={choices(CIRCLE_STYLES, CIRCLE_WORDS)}
        onChange={(circles) => set({ circles })}
      />
      <Choice
        label="Breath"
        value={style.breath}
        options={choices(BREATH_WAYS, BREATH_WAY_WORDS)}
        onChange={(breath) => set({ breath })}
      />
      <Choice
        label="Belly"
        value={style.belly}
        options={choices(BELLIES, BELLY_WORDS)}
        onChange={(belly) => set({ belly })}
      />
      <Choice
        label="Exhale"
        value={style.outBreath}
        options={choices(OUT_BREATHS, OUT_BREATH_WORDS)}
        onChange={(outBreath) => set({ outBreath })}
      />
      <Choice
        label="Rounds in"
        value={style.rounds}
        options={choices(ROUND_STYLES, ROUND_SCHOOL_WORDS)}
        onChange={(rounds) => set({ rounds })}
      />
      <TextField
        label="Said on a hold"
        spoken
        value={style.holdLine}
        max={LIMITS.lineCharacters}
        onChange={(holdLine) => set({ holdLine })}
      />
    </>
  );
}
