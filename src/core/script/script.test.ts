import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { formOn, makePhase } from '@/core/movement';
import { emptyPlan, makeMovement, makeSection, planAfter, type ClassPlan, type MovementStep } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { checkPlan } from '@/core/checks';
import { FADE_PRESETS, fitWords, linesOfProse, proseOf, withForm } from '.';

function ids(): () => string {
  let count = 0;
  return () => `s${++count}`;
}

const LONG = 'Breathe in, and let the wrists carry the lamp all the way up past the belly and the ribs.';

function planWith(part: Partial<MovementStep>, change: Partial<ClassPlan> = {}): ClassPlan {
  const newId = ids();
  const step = makeMovement(newId, 'Raising the lamp', {
    rounds: 5,
    fade: ['full'],
    pattern: [
      makePhase(newId, { kind: 'inhale', full: LONG, short: 'In, lamp up.' }),
      makePhase(newId, { kind: 'exhale', full: 'Breathe out.', short: 'Out.' }),
    ],
    ...part,
  });
  return { ...emptyPlan(newId, 'A class', 300), sections: [makeSection(newId, 'main', [step])], ...change };
}

const stepOf = (plan: ClassPlan): MovementStep => itemAt(plan.sections, 0).steps[0] as MovementStep;
const fitted = (plan: ClassPlan): ClassPlan =>
  planAfter(plan, fitWords(plan, expandPlan(plan), { manner: 'fullest' }).edit);

describe('a fade', () => {
  it('holds its last form, and is written no longer than it differs', () => {
    expect(formOn(['full', 'short'], 9)).toBe('short');
    expect(withForm(['full', 'short'], 4, 'silent')).toEqual(['full', 'short', 'short', 'silent', 'short']);
    expect(withForm(['full', 'short', 'silent'], 3, 'short')).toEqual(['full', 'short', 'short', 'silent']);
    expect(withForm(['full'], 1, 'short')).toEqual(['short', 'full']);
    for (const { fade } of FADE_PRESETS) expect(fade.length).toBeGreaterThan(0);
  });
});

describe('fitting the words', () => {
  it('takes the fullest form that fits, and says what it changes', () => {
    const plan = planWith({});
    const { changes } = fitWords(plan, expandPlan(plan), { manner: 'fullest' });
    expect(changes.map(({ round, from, to }) => `${round} ${from} ${to}`)).toEqual([
      '1 full short',
      '2 full short',
      '3 full short',
      '4 full short',
      '5 full short',
    ]);
    expect(stepOf(fitted(plan)).fade).toEqual(['short']);
    expect(checkPlan(fitted(plan)).filter(({ check }) => check === 'line-too-long')).toEqual([]);
  });

  it('changes one step alone where one is asked for, and none that is left out or has no rounds that are led', () => {
    const step = (id: string, part: Partial<MovementStep> = {}): MovementStep => ({ ...stepOf(planWith(part)), id });
    const [one, two] = [step('one'), step('two')];
    const [skipped, free] = [step('skipped', { skipped: true }), step('free', { pacedBy: 'own-pace' })];
    const plan = { ...planWith({}), sections: [makeSection(ids(), 'main', [one, two, skipped, free])] };
    const timeline = expandPlan(plan);
    const changed = (stepId?: string): string[] => [
      ...new Set(fitWords(plan, timeline, { manner: 'fullest', stepId }).changes.map((change) => change.stepId)),
    ];
    expect(changed()).toEqual([one.id, two.id]);
    expect(changed(two.id)).toEqual([two.id]);
    expect(changed(skipped.id)).toEqual([]);
    expect(changed(free.id)).toEqual([]);
  });

  it('changes nothing the second time', () => {
    const plan = fitted(planWith({}));
    expect(fitWords(plan, expandPlan(plan), { manner: 'fullest' })).toEqual({ edit: null, changes: [] });
  });

  it('keeps the silence that is wanted, up to no words at all', () => {
    const quiet = planWith({}, { silenceShare: 0.88 });
    expect(stepOf(fitted(quiet)).fade).not.toContain('full');
    const mute = planWith(
      {},
      { silenceShare: 0.9, voice: { syllablesPerMinute: 60, leadSeconds: 0.8, pauseSeconds: 1 } },
    );
    expect(stepOf(fitted(mute)).fade).toEqual(['silent']);
  });

  it('leaves held rounds as they are', () => {
    const plan = planWith({ fade: ['full', 'silent', 'full'], fadePins: [2] });
    expect(stepOf(fitted(plan)).fade.slice(0, 3)).toEqual(['short', 'silent', 'short']);
  });

  it('never has words grow again from one round to the next', () => {
    // The last round has its announcement as well, and less time for words.
    const plan = planWith({ fade: ['breath', 'full'], lastRoundLine: 'And now the very last one of all of them.' });
    const order = ['full', 'short', 'breath', 'silent'];
    const { fade } = stepOf(fitted(plan));
    expect([...fade].sort((a, b) => order.indexOf(a) - order.indexOf(b))).toEqual(fade);
  });
});

describe('prose with pauses', () => {
  it('becomes a line for each sentence, with its pause', () => {
    const lines = linesOfProse(
      ids(),
      '(2 s) Stand easy. (4 s) Let the shoulders hang. The crown is light! (pause 10 s)',
      1.5,
    );
    expect(lines.map(({ text, pauseSeconds }) => [text, pauseSeconds])).toEqual([
      ['', 2],
      ['Stand easy.', 4],
      ['Let the shoulders hang.', 1.5],
      ['The crown is light!', 10],
    ]);
    expect(linesOfProse(ids(), proseOf(lines, 1.5), 1.5)).toEqual(lines);
    expect(linesOfProse(ids(), '  ', 1.5)).toEqual([]);
  });
});
