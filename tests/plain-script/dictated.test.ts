import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { captionsOf, withStopsTold } from '@/core/plain-script/layout/dictated';
import { countingIds } from '../support/chance';
import { hands } from '../support/hands';
import { plannedScripts } from '../support/planned-scripts';
import { plannedFrom } from '../support/told-plan';

/*
 * Whole plans that were dictated, without stops, in as many hands, each with the plan that is meant below a row of dashes.
 * Common practice, no published source.
 */

const DICTATED = plannedScripts(new URL('./dictated/', import.meta.url));

describe('a plan that was dictated', () => {
  it.each(DICTATED)('%s', (_, script, plan) => {
    expect(plannedFrom(script)).toEqual(plan.split('\n'));
  });

  it.each(DICTATED)('%s is marked where steps are told one behind the other', (_, script) => {
    const { lines } = readScript(countingIds('d'), script);
    const several = lines.filter(({ text }) => text.split(' ').length > 40);
    expect(several.filter(({ unsure }) => !unsure)).toEqual([]);
  });

  it('takes its first sentence for the title, with the length of the class', () => {
    const [, script = ''] = DICTATED.find(([name]) => name === 'beach') ?? [];
    const { plan } = readScript(countingIds('d'), script);
    expect([plan.title, plan.targetSeconds]).toEqual(['Sunday morning on the beach', 30 * 60]);
  });

  it.each(DICTATED)('%s is the same class with a line for each sentence', (_, script, plan) => {
    const { sentencesApart } = readScript(countingIds('d'), script);
    if (sentencesApart !== null) expect(plannedFrom(sentencesApart)).toEqual(plan.split('\n'));
    expect(sentencesApart === null && !script.trimEnd().includes('\n')).toBe(false);
  });

  it('opens the parts that it names', () => {
    const [, script = ''] = DICTATED.find(([name]) => name === 'evening-group') ?? [];
    const { plan } = readScript(countingIds('d'), script);
    expect(plan.sections.map(({ title }) => title)).toEqual(['Welcome', 'Warm up', 'Main form']);
  });

  it('is left as it stands where it has stops, or is noted', () => {
    const noted = [
      'Bow x6 - slow, soft knees and keep the shoulders low and then rest a bit before the next one begins again please',
      'We raise the arms. We lower the arms. Then we rest, and then we do it all again on the other side, six times.',
      '1. Then raise the arms and then lower them and then rest and then turn and then bow and then stand and then sit',
      'Bow six times then rest',
    ];
    expect(withStopsTold(noted)).toEqual(noted);
    expect(captionsOf(noted)).toBeNull();
  });

  it('is no caption in any hand', () => {
    expect(hands().filter(({ lines }) => captionsOf(lines.map(({ text }) => text)) !== null)).toEqual([]);
  });
});
