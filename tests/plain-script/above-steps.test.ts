import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { stepsInOrder } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * What stands between the title of a class and its first step, in as many words as people have for it: it is no step, and
 * the class keeps its title.
 */

const forms = (all: string): readonly string[] => all.split('|').map((one) => one.trim());

const TOLD = forms(
  'Name: Anna|Teacher: Anna|By Anna|with Anna|Anna, Tuesday 10 am|Tuesday 10:00|Every Tuesday|Tue 4/3|4 March|4.3.2026|2026-03-04|March 2026|Week 3|Week 3 of 8|Class 12|Session 4|Lesson plan|Version 2|v2|Draft|Last updated 4 March|For beginners|Beginners|Seniors group|All levels|Level: beginners|Seated|Chair class|Group: Tuesday regulars|12 people|Participants: 12|Room 2|Harbour hall|Venue: harbour hall|Location: the hall|Where: the hall|When: Tuesday|Time: 10-10.20|10:00-10:20|Start 10:00|Starts at ten|Bring: mats|Equipment: chairs|You need a chair|Music: none|Music - waves|Theme: water|Focus: balance|Focus - letting go|Intention: ease|Aim: looser shoulders|Goal: relax|Breath 4/6|Breath: in 4 out 6|Pace: slow|Mood: calm|Notes: new people|NB: new people today|Remember the keys|Check the heating|Keywords: soft, slow|Tags: water|Recording for the website|Video 3|Take 2|Live stream|Online class|Class plan|Plan|Programme|Outline|Running order|Contents|Script|Rough plan for Tuesday|Plan for next week|What we do|Today:|Order:|Tuesday 19:00, with Wren|Tuesday 19:00 – Harbour hall|4 March, beginners|Week 3 - with Wren',
);
const LENGTHS = forms(
  "20 minutes|20 min|Length: 20 min|Duration 20 minutes|Total 20 min|Total time: 20:00|about 20 minutes|(20 min)|20'|Runtime 20:00|Target 20 min|Target: 20:00|max 20 min|no more than 20 min|Tuesday 19:00, 20 min|Beginners - 20 min",
);
const WAYS: readonly ((line: string) => readonly string[])[] = [
  (line) => ['Harbour morning', line, '', 'Main set', '- Rowing x8', '- Bow x3'],
  (line) => ['Harbour morning', '', line, '', 'Main set', '- Rowing x8', '- Bow x3'],
  (line) => ['Harbour morning', line, 'Rowing x8', 'Bow x3'],
];

describe('above the first step', () => {
  it.each(TOLD)('“%s” is no step', (line) => {
    for (const way of WAYS) {
      const { plan } = readScript(countingIds('a'), way(line).join('\n'));
      const done = stepsInOrder(plan).filter(({ step }) => step.kind !== 'talk');
      expect(done.map(({ step }) => step.name)).toEqual(['Rowing', 'Bow']);
      expect(plan.title).toBe('Harbour morning');
    }
  });

  it.each(LENGTHS)('“%s” is how long the class is', (line) => {
    for (const way of WAYS) {
      const { plan } = readScript(countingIds('a'), way(line).join('\n'));
      expect(stepsInOrder(plan).map(({ step }) => step.name)).toEqual(['Rowing', 'Bow']);
      expect(plan).toMatchObject({ title: 'Harbour morning', targetSeconds: 1_200 });
    }
  });

  it.each(forms('For beginners|Beginners|Seniors group|All levels|Chair class'))('“%s” says whom it is for', (line) => {
    const { plan } = readScript(countingIds('a'), ['Harbour morning', line, '', 'Rowing x8'].join('\n'));
    expect(plan.audience).toBe(line);
  });

  it.each(forms('Live stream|Seniors group|Tuesday morning|Harbour hall|Chair class'))(
    '“%s” at the top is the title',
    (line) => {
      const { plan } = readScript(countingIds('a'), [line, '', 'Main set', '- Rowing x8', '- Bow x3'].join('\n'));
      expect(plan.title).toBe(line);
      expect(stepsInOrder(plan).map(({ step }) => step.name)).toEqual(['Rowing', 'Bow']);
    },
  );

  it.each(forms('Seated swings x8|Standing 2 min|Rowing in the hall x8|Step out x3'))('“%s” is a step', (line) => {
    const { plan } = readScript(countingIds('a'), ['Harbour morning', '', line, 'Bow x3'].join('\n'));
    expect(stepsInOrder(plan)).toHaveLength(2);
  });
});
