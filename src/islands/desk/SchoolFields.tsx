import { LIMITS } from '@/core/plan';
import {
  BELLIES,
  BREATH_WAYS,
  CIRCLE_SCHOOLS,
  COUNTINGS,
  OUT_BREATHS,
  ROUND_SCHOOLS,
  SIDE_SCHOOLS,
  type Schools,
} from '@/core/words';
import {
  BELLY_WORDS,
  BREATH_WAY_WORDS,
  CIRCLE_WORDS,
  COUNTING_WORDS,
  OUT_BREATH_WORDS,
  ROUND_SCHOOL_WORDS,
  SIDE_SCHOOL_WORDS,
} from '@/messages/schools';
import { Choice } from '@/ui/parts/Choice';
import { TextField } from '@/ui/parts/TextField';
import { useDesk, useDeskStore } from './use-desk';

/** Where instructors disagree: what this class does. */
export function SchoolFields() {
  const desk = useDeskStore();
  const schools = useDesk((state) => state.plan.schools);
  const set = (part: Partial<Schools>): void => {
    desk.edit(
      { kind: 'set-plan', field: 'schools', value: { ...schools, ...part } },
      `schools ${Object.keys(part).join()}`,
    );
  };
  const choices = <Value extends string>(values: readonly Value[], words: Readonly<Record<Value, string>>) =>
    values.map((value) => ({ value, label: words[value] }));
  const mark = (field: 'leftMark' | 'rightMark', label: string) => (
    <TextField
      label={label}
      value={schools[field]}
      most={LIMITS.titleCharacters}
      placeholder="window side"
      onChange={(value) => set({ [field]: value })}
    />
  );
  return (
    <>
      <h3 className="mt-2 font-semibold">Teaching style</h3>
      <Choice
        label="Counting"
        value={schools.counting}
        options={choices(COUNTINGS, COUNTING_WORDS)}
        onChange={(counting) => set({ counting })}
      />
      <Choice
        label="Sides"
        value={schools.sides}
        options={choices(SIDE_SCHOOLS, SIDE_SCHOOL_WORDS)}
        onChange={(sides) => set({ sides })}
      />
      {schools.sides === 'marks' && (
        <>
          {mark('leftMark', 'What stands at their left')}
          {mark('rightMark', 'What stands at their right')}
        </>
      )}
      <Choice
        label="Clockwise"
        value={schools.circles}
        options={choices(CIRCLE_SCHOOLS, CIRCLE_WORDS)}
        onChange={(circles) => set({ circles })}
      />
      <Choice
        label="Breath"
        value={schools.breath}
        options={choices(BREATH_WAYS, BREATH_WAY_WORDS)}
        onChange={(breath) => set({ breath })}
      />
      <Choice
        label="Belly"
        value={schools.belly}
        options={choices(BELLIES, BELLY_WORDS)}
        onChange={(belly) => set({ belly })}
      />
      <Choice
        label="Exhale"
        value={schools.outBreath}
        options={choices(OUT_BREATHS, OUT_BREATH_WORDS)}
        onChange={(outBreath) => set({ outBreath })}
      />
      <Choice
        label="Rounds in"
        value={schools.rounds}
        options={choices(ROUND_SCHOOLS, ROUND_SCHOOL_WORDS)}
        onChange={(rounds) => set({ rounds })}
      />
      <TextField
        label="Said on a hold"
        spoken
        value={schools.restLine}
        most={LIMITS.lineCharacters}
        onChange={(restLine) => set({ restLine })}
      />
    </>
  );
}
