import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { checkPlan, createChecker } from '@/core/checks';
import {
  emptyPlan,
  makeMovement,
  makeSection,
  makeSilence,
  makeTalk,
  makeTransition,
  type ClassPlan,
  type Step,
} from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { countingIds } from '../support/chance';

const newId = countingIds('c');
const planOf = (...steps: Step[]): ClassPlan => ({
  ...emptyPlan(newId, 'Class', 600),
  sections: [makeSection(newId, 'main', steps)],
});
const found = (plan: ClassPlan, check: string): number => checkPlan(plan).filter((one) => one.check === check).length;
const saying = (text: string): Step => ({
  ...makeMovement(newId, 'Raising the lamp'),
  teach: [{ id: newId(), text, pauseSeconds: 1, layer: null }],
});

describe('what is told not to be done', () => {
  it.each([
    'Never force the breath.',
    'Do not hold your breath.',
    "Don't hold the breath at the top.",
    'Without force in the breath.',
  ])('%j is a caution and no forced breath', (text) => expect(found(planOf(saying(text)), 'breath-forced')).toBe(0));

  it.each(['Hold your breath.', 'Now force it out with the breath.', 'Never mind the gulls; hold the breath.'])(
    '%j still is one',
    (text) => expect(found(planOf(saying(text)), 'breath-forced')).toBe(1),
  );
});

describe('another side to the camera', () => {
  const lamp = makeMovement(newId, 'Raising the lamp');
  const turned = (part: Partial<typeof lamp> = {}): Step => ({ ...lamp, id: newId(), view: 'back', ...part });
  const told = (): Step => makeTalk(newId, 'Turning', [['I turn my back to you now.', 2]]);
  it('is prepared for by what is said before it, and not by what is said after it', () => {
    expect(found(planOf(told(), turned()), 'view-unsaid')).toBe(0);
    expect(found(planOf(turned(), told()), 'view-unsaid')).toBe(1);
    expect(found(planOf(turned()), 'view-unsaid')).toBe(1);
  });

  it('is prepared for in the movement before its first round, and not later', () => {
    const words = 'I turn my back to you now.';
    const teach = [{ id: newId(), text: words, pauseSeconds: 1, layer: null }];
    expect(found(planOf(turned({ teach })), 'view-unsaid')).toBe(0);
    const pattern = lamp.pattern.map((phase, at) => (at === 0 ? { ...phase, full: words } : phase));
    expect(found(planOf(turned({ pattern })), 'view-unsaid')).toBe(1);
  });
});

describe('a balance after eyes were closed', () => {
  const closed = (): Step => makeSilence(newId, 'Listening', { eyesClosed: true });
  const balance = (teach: string, full = 'Breathe in.'): Step => {
    const made = makeMovement(newId, 'Heron on the piling', { cautions: ['balance'] });
    const pattern = made.pattern.map((phase, at) => (at === 0 ? { ...phase, full } : phase));
    return { ...made, teach: [{ id: newId(), text: teach, pauseSeconds: 1, layer: null }], pattern };
  };
  const eyes = (...steps: Step[]): number => found(planOf(...steps), 'eyes-balance');
  it('begins with open eyes where words open them before its first round, and not where none do', () => {
    const open = 'Open your eyes and look at one spot.';
    expect(eyes(closed(), balance('Stand tall.'))).toBe(1);
    expect(eyes(closed(), balance(open))).toBe(0);
    expect(eyes(closed(), balance('Stand tall.', open))).toBe(1);
    expect(eyes(balance('Stand tall.'))).toBe(0);
  });
});

describe('left and right', () => {
  const sided = (text: string): ClassPlan =>
    planOf({ ...(saying(text) as ReturnType<typeof makeMovement>), sides: 'alternating' });
  it.each([
    'Look right in front of you.',
    'Nobody left behind.',
    'Right at the top, soften.',
    'The hands meet right before you.',
  ])('%j names no side', (text) => expect(found(sided(text), 'side-wrong')).toBe(0));

  it('a side in the words of a round is still found on the other side', () => {
    const step = makeMovement(newId, 'Turning', { sides: 'alternating' });
    const [first, ...others] = [itemAt(step.pattern, 0), ...step.pattern.slice(1)];
    const wrong = { ...step, pattern: [{ ...first, full: 'Turn to the right in one breath.' }, ...others] };
    expect(found(planOf(wrong), 'side-wrong')).toBe(1);
  });
});

describe('a seat', () => {
  const parts = (text: string): string => {
    const one = checkPlan(planOf(makeTalk(newId, 'Talk', [text]), makeMovement(newId, 'Lamp'))).find(
      ({ check }) => check === 'class-caution',
    );
    return String(one?.facts.parts);
  };
  it.each(['Sit into the stance.', 'Sit back into your hips.', 'Sit down into the left leg.', 'Keep a chair at hand.'])(
    '%j offers none',
    (text) => {
      expect(parts(text)).toContain('sit');
    },
  );
  it.each(['Sit if you like.', 'All of this may be done seated.', 'Sit down whenever you want.'])(
    '%j offers one',
    (text) => {
      expect(parts(text)).not.toContain('sit');
    },
  );
});

describe('a checker that remembers', () => {
  it('judges a step again when a neighbour takes a name of as many letters', () => {
    // What is said of the next step is its name, and a name can promise what nobody may promise.
    const plan = planOf(
      { ...makeTransition(newId, 'Feet apart', 5, 'And now {next}.') },
      makeMovement(newId, 'Slowly wave at gulls'),
    );
    const renamed = (name: string): ClassPlan => ({
      ...plan,
      sections: plan.sections.map((section) => ({
        ...section,
        steps: section.steps.map((step) => (step.kind === 'movement' ? { ...step, name } : step)),
      })),
    });
    const checker = createChecker();
    const checked = (of: ClassPlan): string[] => checker(of, expandPlan(of)).map(({ check }) => check);
    expect(checked(plan)).not.toContain('health-promise');
    const promising = renamed('This cures your knees');
    expect(itemAt(itemAt(promising.sections, 0).steps, 1).name.length).toBe('Slowly wave at gulls!'.length);
    for (const of of [plan, renamed('Slowly wave at gulls'), promising]) {
      expect(checked(of)).toEqual(checkPlan(of).map(({ check }) => check));
    }
  });

  it('judges a movement again when the one before it has its name no more', () => {
    const twice = planOf(makeMovement(newId, 'Wave at gulls'), makeMovement(newId, 'Wave at gulls'));
    const renamed: ClassPlan = {
      ...twice,
      sections: twice.sections.map((section) => ({
        ...section,
        steps: section.steps.map((step, at) => (at === 0 ? { ...step, name: 'Haul the net' } : step)),
      })),
    };
    const checker = createChecker();
    for (const of of [twice, renamed, twice]) expect(checker(of, expandPlan(of))).toEqual(checkPlan(of));
    expect(found(renamed, 'never-named')).toBe(found(twice, 'never-named') + 1);
  });
});
