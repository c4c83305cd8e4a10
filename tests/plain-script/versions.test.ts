import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder, type MovementStep } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Smaller and larger versions, versions in a chair and cautions, in as many ways as people write them below a movement.
 * Common practice, no published source.
 */

const forms = (text: string): readonly string[] => text.trim().split(/\s*\n\s*/);
const LEVELS = forms(`
  Level 1: stay low
  Level 2: stay low
  L1: stay low
  L1 stay low
  Level 1 - stay low
  level 1) stay low
  Lv 1: stay low
  Easier: stay low
  Easier - stay low
  easier, stay low
  Easy: stay low
  Easy version: stay low
  easier version: stay low
  Gentle: stay low
  Gentler option: stay low
  Beginner: stay low
  Beginners: stay low
  For beginners: stay low
  beginners stay low
  Beginners - stay low
  Newcomers: stay low
  Harder: stay low
  Advanced: stay low
  Advanced option: stay low
  More advanced: stay low
  More: stay low
  Less: stay low
  Challenge: stay low
  Stronger: stay low
  Softer: stay low
  Option: stay low
  Option 1: stay low
  Options: stay low
  Alternative: stay low
  Alt: stay low
  Or: stay low
  Variation: stay low
  Variant: stay low
  Modification: stay low
  Mod: stay low
  Modify: stay low
  Progression: stay low
  Regression: stay low
  To make it easier, stay low
  To make it harder: stay low
  If that is too much: stay low
  If that's too much, stay low
  If this is easy, stay low
  too easy? stay low
  too hard? stay low
  (easier: stay low)
  [easier] stay low
  (easier) stay low
  stay low (easier)
  stay low (easier version)
  stay low for beginners
  stay low if that is too much
  stay low to make it easier
  Level one: stay low
  First level: stay low
  small version: stay low
  Big version: stay low
  Smaller: stay low
  Bigger: stay low
  Full: stay low
  Half: stay low
`);
const SEATED = forms(`
  Seated: hands on the lap
  Seated - hands on the lap
  seated version: hands on the lap
  Seated option: hands on the lap
  Sitting: hands on the lap
  Sitting version: hands on the lap
  In a chair: hands on the lap
  On a chair: hands on the lap
  Chair: hands on the lap
  Chair version: hands on the lap
  Chair option - hands on the lap
  From a chair: hands on the lap
  If seated: hands on the lap
  If sitting, hands on the lap
  If you are seated, hands on the lap
  When seated: hands on the lap
  For those sitting: hands on the lap
  Those in chairs: hands on the lap
  Sitters: hands on the lap
  Wheelchair: hands on the lap
  (seated: hands on the lap)
  (seated) hands on the lap
  [seated] hands on the lap
  hands on the lap (seated)
  hands on the lap if seated
  hands on the lap when sitting
  Seated people: hands on the lap
  Sit: hands on the lap
  If you sit: hands on the lap
`);
const CAUTIONS = forms(`
  Caution: sore knees stay high
  Caution - sore knees stay high
  CAUTION sore knees stay high
  Cautions: sore knees stay high
  Careful: sore knees stay high
  Careful with sore knees
  Be careful with the knees
  Watch out: sore knees stay high
  Watch the knees
  Warning: sore knees stay high
  Safety: sore knees stay high
  Safety note: sore knees stay high
  Take care: sore knees stay high
  Mind the knees
  Mind: sore knees stay high
  NB sore knees stay high
  N.B. sore knees stay high
  Note: sore knees stay high
  Contraindications: sore knees
  Contraindicated: sore knees
  CI: sore knees stay high
  Not for: sore knees
  Not with sore knees
  Avoid: deep knees
  Avoid deep knees
  Avoid if the knees are sore
  Skip if the knees are sore
  Skip this with sore knees
  Skip if: sore knees
  Stop if it hurts
  Stop if: dizzy
  Don't: lock the knees
  Don't lock the knees
  Never lock the knees
  Risk: sore knees stay high
  ! sore knees stay high
  !! sore knees stay high
  ⚠ sore knees stay high
  ⚠️ sore knees stay high
  (caution: sore knees stay high)
  (careful with sore knees)
  [caution] sore knees stay high
  (!) sore knees stay high
  High blood pressure: keep the head up
  Sore knees: stay high
  Bad knees: stay high
  Knee problems: stay high
  Pregnant: stay upright
  Hip replacement: no crossing
  Dizzy? Sit down
  If dizzy, sit down
  If the knees hurt, stay high
  Osteoporosis: no folding
`);
/** A sentence of its own is said where it stands, and found by the checks there. */
const SENTENCE =
  /^(?:careful with|be careful|watch the|mind the|not with|avoid|skip|stop|don|never|note|nb|n\.b|dizzy|if |sore|bad|knee|high|preg|hip|osteo|\(careful)/i;

const PLACES: Readonly<Record<string, (line: string) => string>> = {
  'below the breath': (line) => `1. Rowing x8\n   in: arms rise\n   out: arms sink\n   ${line}\n2. Cloud hands x6`,
  'above the breath': (line) => `1. Rowing x8\n   ${line}\n   in: arms rise\n   out: arms sink\n2. Cloud hands x6`,
  'behind a dash': (line) => `- Rowing x8\n  - ${line}\n- Cloud hands x6`,
  'right below': (line) => `Rowing x8\n${line}\nCloud hands x6`,
};
/** Right below a movement without a mark these may be a name as well; they are marked. */
const MAY_BE_NAMES = new Set(['Skip this with sore knees']);

function movementOf(body: string): MovementStep | null {
  const steps = stepsInOrder(readScript(countingIds('v'), `Morning - 20 min\n\nMain set\n${body}`).plan).map(
    ({ step }) => step,
  );
  const [step] = steps;
  return isMovement(step) && steps.length === 2 && step.preferredRounds === 8 ? step : null;
}

function wrong(lines: readonly string[], isRight: (step: MovementStep, line: string) => boolean): string[] {
  return lines.flatMap((line) =>
    Object.entries(PLACES).flatMap(([place, put]) => {
      if (place === 'right below' && MAY_BE_NAMES.has(line)) return [];
      const step = movementOf(put(line));
      return step && isRight(step, line) ? [] : [`${place}: ${line}`];
    }),
  );
}

describe('another way to do a movement', () => {
  it('is a level', () => {
    expect(wrong(LEVELS, ({ levels }) => levels.some(({ lines }) => /stay low/i.test(lines.join(' '))))).toEqual([]);
  });

  it('is one in a chair', () => {
    expect(wrong(SEATED, ({ seated }) => /hands on the lap/i.test(seated))).toEqual([]);
  });

  it('is called by its label', () => {
    const named = (line: string): string | undefined =>
      movementOf(`- Rowing x8\n  - ${line}\n- Bow x3`)?.levels[0]?.name;
    expect(['Level 2: stay low', 'Easier - stay low', '(harder) stay low', 'stay low (smaller version)'].map(named)).toEqual([
      'Level 2', 'Easier', 'Harder', 'Smaller version',
    ]); // prettier-ignore
  });

  it('is no amount of it: what has one is a step', () => {
    const { plan } = readScript(
      countingIds('a'),
      'Class\n\nMain set\n- Rowing x8\n- Standing: hold the ball, 2 min\n- Half: squats x6',
    );
    expect(stepsInOrder(plan)).toHaveLength(3);
  });
});

describe('a caution', () => {
  it('is said without the mark before it', () => {
    const said = ['! sore knees', '!! sore knees', '⚠ sore knees', 'C/I: sore knees'].map(
      (line) => movementOf(`- Rowing x8\n  ${line}\n- Bow x3`)?.moments.caution,
    );
    expect(said).toEqual(['sore knees', 'sore knees', 'sore knees', 'sore knees']);
  });

  it('is said before the movement where it is called one, and else where it stands', () => {
    const found = wrong(CAUTIONS, ({ moments, teach }, line) => {
      const said = teach.length > 0 || moments.leaving !== '';
      return moments.caution !== '' || (said && SENTENCE.test(line));
    });
    expect(found).toEqual([]);
  });
});
