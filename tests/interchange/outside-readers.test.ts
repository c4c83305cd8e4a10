import { parseText } from 'media-captions';
import { describe, expect, it } from 'vitest';
import { WebVTTParser } from 'webvtt-parser';
import { publish } from '@/core/publish';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { itemAt, Random } from '@/core/units';
import { randomPlan } from '../support/random-plan';

/* Source: two parsers from the npm registry that share no code with ours, webvtt-parser (strict) and media-captions. */

const odd = {
  ...itemAt(demoClasses(), 0).plan,
  title: 'a --> b',
  sections: itemAt(demoClasses(), 0).plan.sections.map((section, index) =>
    index === 0 ? { ...section, title: 'Chapter --> <b>& 🌊 مرحبا' } : section,
  ),
};
const plans = [
  ...demoClasses().map((demo) => demo.plan),
  odd,
  ...[1, 2, 3, 4, 5, 6].map((seed) => randomPlan(new Random(seed), { steps: 18, breathTenths: 4, choicesAtMost: 5 })),
];

describe.each(plans.map((plan) => [plan.title, plan] as const))('%s, read by others', (_, plan) => {
  const timeline = expandPlan(plan);

  it.each(['webvtt', 'chapters'] as const)('%s has no complaint from webvtt-parser', (format) => {
    const { text } = publish(plan, timeline, format, null);
    const parsed = new WebVTTParser().parse(text, format === 'chapters' ? 'chapters' : 'captions');
    expect(parsed.errors).toEqual([]);
    expect(parsed.cues.length).toBeGreaterThan(0);
  });

  it.each([
    ['webvtt', 'vtt'],
    ['srt', 'srt'],
  ] as const)('%s has no complaint from media-captions', async (format, type) => {
    const { text } = publish(plan, timeline, format, null);
    const parsed = await parseText(text, { type, strict: false, errors: true });
    expect(parsed.errors).toEqual([]);
    const ours = text.match(/-->/g)?.length;
    expect(parsed.cues.length).toBe(ours);
    parsed.cues.forEach((cue, index) => {
      expect(cue.endTime).toBeGreaterThan(cue.startTime);
      expect(cue.startTime).toBeGreaterThanOrEqual((parsed.cues[index - 1]?.endTime ?? 0) - 1e-6);
    });
  });
});
