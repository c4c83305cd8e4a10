import { describe, expect, it } from 'vitest';
import { FORMS, LAYERS, STANCES, type Phase } from '@/core/movement';
import { BELLIES, BREATH_WAYS, CIRCLE_STYLES, COUNTINGS, OUT_BREATHS, ROUND_STYLES, SIDE_STYLES } from '@/core/words';
import { FIT_WAYS, readPlan, stepsInOrder, INTROS, VIEWS, type ClassPlan, type Step } from '@/core/plan';
import { readScript, writeScript } from '@/core/plain-script';
import { demoClasses } from '@/demo/classes';
import { planFromTemplate, TEMPLATES } from '@/templates';
import { Random } from '@/core/units';
import { countingIds } from '../support/chance';
import { randomPlan } from '../support/random-plan';

/** Texts that a notation trips over. */
const AWKWARD = [
  '',
  ' leads with a space',
  'ends with one ',
  'a | bar, a \\ backslash, (pause 20 s)',
  'two\nlines\tand a tab',
  'in: not a phase',
  '## not a heading [main]',
  '> not said (pause 3 s)',
  'rounds: 4, asked 4',
  '\\n is not a new line',
  '- 3 times each side',
  '[main]',
  'qì 🌊 مرحبا – “quoted”',
  '###',
  ':',
];

/** The same plan with awkward texts, levels, names, stances and lengths in it. */
function awkward(chance: Random, plan: ClassPlan): ClassPlan {
  const text = (): string => chance.pick(AWKWARD);
  const line = (): string => `x${text().replace(/[\n\t]/g, ' ')}`;
  const phase = (one: Phase): Phase => ({
    ...one,
    action: text(),
    full: text(),
    short: text(),
    breath: text(),
    leadSeconds: chance.pick([null, 0.4]),
  });
  const step = (one: Step): Step => {
    if (one.kind === 'talk') {
      return {
        ...one,
        name: line(),
        lines: one.lines.map((said) => ({
          ...said,
          text: text(),
          pauseSeconds: 0.1 + 0.2,
          layer: chance.pick([...LAYERS, null]),
        })),
      };
    }
    if (one.kind === 'silence') {
      return {
        ...one,
        name: line(),
        openingLine: text(),
        callBackLine: text(),
        reassuranceLine: text(),
        reassuranceEverySeconds: chance.whole(5, 90),
        callBackLeadSeconds: chance.whole(0, 9) / 10,
        stance: chance.pick(STANCES),
        eyesClosed: true,
      };
    }
    if (one.kind === 'transition')
      return { ...one, name: line(), line: text(), stance: chance.pick([...STANCES, null]) };
    return {
      ...one,
      name: line(),
      traditionalName: line(),
      otherNames: chance.yes(0.5) ? [line(), line()] : [],
      stanceStart: chance.pick([...STANCES, null]),
      stanceEnd: chance.pick([...STANCES, null]),
      pattern: one.pattern.map(phase),
      fade: [chance.pick(FORMS), chance.pick(FORMS)],
      lastRoundLine: text(),
      sideChangeLine: text(),
      sideChangeSeconds: chance.whole(0, 90) / 10,
      levels: chance.yes(0.5) ? [{ name: line(), note: text(), lines: [text()] }] : [],
      fadePins: chance.yes(0.5) ? [1, 3] : [],
      moments: { naming: text(), caution: text(), sending: text(), roundsLeft: text(), leaving: text() },
      shorts: {
        naming: text(),
        caution: text(),
        sending: text(),
        roundsLeft: text(),
        lastRound: text(),
        sideChange: text(),
        leaving: text(),
      },
      intro: chance.pick(INTROS),
      counting: chance.pick([...COUNTINGS, null]),
      view: chance.pick(VIEWS),
      cautions: chance.yes(0.5) ? ['balance', 'twist'] : [],
      seated: text(),
      source: chance.yes(0.3) ? { movementId: 'm-1', revision: 3 } : null,
    };
  };
  const sections = plan.sections.map((section) => ({ ...section, title: line(), steps: section.steps.map(step) }));
  const ids = stepsInOrder({ ...plan, sections }).map(({ step: one }) => one.id);
  const pin = {
    skipped: chance.pick([true, false, null]),
    rounds: chance.pick([3, null]),
    seconds: chance.pick([45.5, null]),
  };
  const length = {
    id: 'l1',
    name: line(),
    targetSeconds: chance.pick([300, 90.5]),
    way: chance.pick(FIT_WAYS),
    breathSeconds: chance.pick([null, 8.2]),
    pins: [{ stepId: chance.pick(ids), ...pin }],
  };
  const style = {
    counting: chance.pick(COUNTINGS),
    sides: chance.pick(SIDE_STYLES),
    leftMark: line(),
    rightMark: line(),
    circles: chance.pick(CIRCLE_STYLES),
    breath: chance.pick(BREATH_WAYS),
    belly: chance.pick(BELLIES),
    outBreath: chance.pick(OUT_BREATHS),
    rounds: chance.pick(ROUND_STYLES),
    holdLine: text(),
  };
  const theme = { id: 't1', name: line(), words: [{ plain: line(), themed: line() }] };
  const aside = { check: 'c', stepId: chance.pick([null, chance.pick(ids)]), detail: text(), reason: text() };
  return {
    ...plan,
    sections,
    title: line(),
    focus: text(),
    audience: text(),
    lengths: [length],
    keepOnTarget: true,
    style,
    silenceShare: chance.whole(0, 9) / 10,
    themes: [theme],
    themeId: chance.pick([null, 't1']),
    dismissed: [aside],
  };
}

/** The plan with its ids by the order in which they come. */
function renumbered(plan: ClassPlan): unknown {
  const text = JSON.stringify(plan);
  const names = new Map<string, string>();
  JSON.parse(text, (key: string, value: unknown) => {
    if (key === 'id' && typeof value === 'string') names.set(value, `#${names.size + 1}`);
    return value;
  });
  return JSON.parse(text, (key: string, value: unknown) =>
    (key === 'id' || key === 'stepId' || key === 'themeId') && typeof value === 'string'
      ? (names.get(value) ?? value)
      : value,
  );
}

function expectSame(plan: ClassPlan, name: string): void {
  const script = writeScript(plan);
  const read = readScript(countingIds('r'), script);
  expect(
    read.lines.filter((line) => line.unsure).map((line) => line.text),
    name,
  ).toEqual([]);
  expect(renumbered(read.plan), name).toEqual(renumbered(plan));
  expect(writeScript(read.plan), name).toBe(script);
}

describe('the tidy form of a plain script', () => {
  it('holds every demo class and template without loss', () => {
    for (const { name, plan } of demoClasses()) expectSame(plan, name);
    for (const template of TEMPLATES)
      expectSame(planFromTemplate(countingIds('t'), template, template.title), template.id);
  });

  it('holds 300 random plans with awkward texts without loss', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const chance = new Random(seed);
      const plan = awkward(
        chance,
        randomPlan(chance, { steps: chance.whole(2, 12), breathTenths: 5, choicesAtMost: 5 }),
      );
      expect(readPlan(plan).ok, `seed ${seed}`).toBe(true);
      expectSame(plan, `seed ${seed}`);
    }
  });
});
