import { describe, expect, it } from 'vitest';
import { linesHeard, spokenLines } from '@/core/plain-script/speech/word-for-word';
import { readScript } from '@/core/plain-script';
import { isUnder } from '@/core/plain-script/lines/over-words';
import { amountInSpeech } from '@/core/plain-script/speech/amounts';
import { countingIds } from '../support/chance';
import { hands } from '../support/hands';
import { plannedScripts } from '../support/planned-scripts';
import { plannedFrom } from '../support/told-plan';

/*
 * Whole classes that are spoken word for word, in as many hands, each with the plan that is meant below a row of dashes.
 * Common practice, no published source.
 */

const SCRIPTS = plannedScripts(new URL('./word-for-word/', import.meta.url));

describe('a class that is spoken word for word', () => {
  it.each(SCRIPTS)('%s', (_, script, plan) => {
    expect(plannedFrom(script)).toEqual(plan.split('\n'));
  });

  it.each(SCRIPTS)('%s is known as such', (_, script) => {
    const lines = script.split('\n');
    expect(linesHeard(lines) ?? spokenLines(lines)).not.toBeNull();
  });

  it.each(SCRIPTS)('%s loses nothing that is said but where and how often', (_, script) => {
    const { plan } = readScript(countingIds('w'), script);
    const kept = JSON.stringify(plan).toLowerCase();
    const lines = script.split('\n');
    const sentences = (linesHeard(lines) ?? lines)
      .join('\n')
      .split(/\n|(?<=[.!?…])\s+/)
      .filter((one) => !/[[\]()]/.test(one) && amountInSpeech(one) === null && !isUnder(one));
    const lost = sentences.filter((one) => (one.toLowerCase().match(/\p{L}{3,}/gu) ?? []).filter((word) => !kept.includes(word)).length > 1); // prettier-ignore
    expect(lost.slice(script.startsWith('Five quiet') ? 1 : 0)).toEqual([]);
  });

  it('shows where a movement is told, and what counts it', () => {
    const [, script = ''] = SCRIPTS.find(([name]) => name === 'sunset') ?? [];
    const { lines } = readScript(countingIds('w'), script);
    const shown = (start: string): string => {
      const { kind, counts, unsure } = lines.find(({ text }) => text.startsWith(start)) ?? {};
      return `${unsure ? '? ' : ''}${kind ?? ''} ${String(counts?.rounds ?? counts?.seconds?.[0] ?? '')}`.trim();
    };
    expect(shown('Take a moment')).toBe('said');
    expect(shown('Let the arms drift')).toBe('? movement 120');
    expect(shown('Continue at your own pace')).toBe('? setting 120');
    expect(shown('Pouring Water')).toBe('movement');
    expect(shown('Now shift into')).toBe('said');
    expect(shown('We repeat this')).toBe('setting 10');
    expect(shown('Stay here')).toBe('? silence 180');
  });

  it('is no class that is written down, in any hand', () => {
    const taken = hands().filter(({ lines }) => {
      const written = lines.map(({ text }) => text);
      return (linesHeard(written) ?? spokenLines(written)) !== null;
    });
    expect(taken.map(({ name }) => name)).toEqual([]);
  });
});
