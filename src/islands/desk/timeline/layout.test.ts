import { firstItems, itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { stepsInOrder, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { layOutStep, linesOf, type StepLayout } from './layout';

function layouts(plan: ClassPlan, width: number, unfolded = false): StepLayout[] {
  const timeline = expandPlan(plan);
  return stepsInOrder(plan).map(({ step }, index) =>
    layOutStep(step, itemAt(timeline.steps, index), timeline, { text: width, after: 142 }, unfolded),
  );
}

const plans = demoClasses().map((demo) => demo.plan);

describe('the lines of a text', () => {
  it.each([
    ['', 200, 1],
    ['In.', 200, 1],
    ['No higher than the shoulders; lower if they are sore.', 240, 3],
    ['No higher than the shoulders; lower if they are sore.', 500, 1],
    ['x'.repeat(100), 250, 4],
  ])('%s over %s pixels', (text, width, lines) => {
    expect(linesOf(text, width)).toBe(lines);
  });
});

describe('the strip', () => {
  it.each([200, 440, 900])('never puts one line over another, in a column of %d px', (width) => {
    for (const layout of plans.flatMap((plan) => layouts(plan, width))) {
      layout.cues.forEach(({ cue, y }, index) => {
        const next = layout.cues[index + 1];
        const lines = Math.ceil(([...cue.text].length * 8.6) / width);
        if (next) expect(next.y - y, cue.text).toBeGreaterThanOrEqual(lines * 26);
        else expect(layout.height - y, cue.text).toBeGreaterThanOrEqual(lines * 26);
      });
    }
  });

  it('lets time fall down the page without ever going back', () => {
    for (const plan of plans) {
      const timeline = expandPlan(plan);
      layouts(plan, 440).forEach((layout, index) => {
        const { startSeconds, endSeconds } = itemAt(timeline.steps, index);
        expect(layout.yOf(startSeconds)).toBe(0);
        expect(layout.yOf(endSeconds)).toBeCloseTo(layout.height, 6);
        let before = 0;
        for (let at = startSeconds; at <= endSeconds; at += 0.5) {
          expect(layout.yOf(at)).toBeGreaterThanOrEqual(before);
          before = layout.yOf(at);
        }
      });
    }
  });

  it('folds rounds that say the same into one line, and opens them again', () => {
    const [, , , storm] = firstItems(plans, 4);
    const [, lamp] = firstItems(layouts(storm, 440), 2);
    const folded = lamp.groups.filter((group) => group.folded);
    expect(folded.map((group) => [group.firstRound, group.lastRound])).toEqual([[3, 8]]);
    expect(itemAt(folded, 0).height).toBeLessThan(60);
    const [, opened] = firstItems(layouts(storm, 440, true), 2);
    expect(opened.groups.some((group) => group.folded)).toBe(false);
    expect(opened.groups.length).toBe(9);
    expect(opened.height).toBeGreaterThan(lamp.height + 200);
  });

  it('marks a line that is still being said when the next thing is due', () => {
    const [, , , storm] = firstItems(plans, 4);
    const late = layouts(storm, 440).flatMap((layout) => layout.cues.filter((placed) => placed.late));
    expect(late.map((placed) => placed.cue.text.slice(0, 30))).toContain('Breathe in, and let the wrists');
    expect(layouts(itemAt(plans, 0), 440).flatMap((layout) => layout.cues.filter((placed) => placed.late))).toEqual([]);
  });

  it('stands an alternating movement’s two sides in one round', () => {
    const index = stepsInOrder(itemAt(plans, 0)).findIndex(({ step }) => step.name === 'Turning the lighthouse');
    expect(
      itemAt(layouts(itemAt(plans, 0), 440), index).groups.map((group) => [group.firstRound, group.cues.length]),
    ).toEqual([
      [1, 4],
      [2, 4],
      [3, 4],
    ]);
  });
});
