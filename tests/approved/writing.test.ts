import { describe, it } from 'vitest';
import { checkPlan } from '@/core/checks';
import { readScript, writeScript } from '@/core/plain-script';
import { stepsInOrder, type ClassPlan } from '@/core/plan';
import { fitWords } from '@/core/script';
import { expandPlan } from '@/core/timeline';
import { countingIds } from '../support/chance';
import { hands } from '../support/hands';
import { areAsApproved, asText } from './as-text';

/* How the hands that may be looked at are read, the classes that come of them, and what the checks say of those. */

const read = hands()
  .filter(({ half }) => half === 'tuned' || half === 'known')
  .map(({ name, lines }) => ({ name, ...readScript(countingIds('h'), lines.map(({ text }) => text).join('\n')) }));

function findingsOf(plan: ClassPlan): string[] {
  const places = new Map(stepsInOrder(plan).map(({ step }, at) => [step.id, at]));
  return checkPlan(plan).map(({ check, stepId, facts, fix }) => {
    const at = stepId === null ? '-' : String(places.get(stepId));
    return `  ${check} ${at} ${asText(facts)} ${fix?.kind === 'edit' ? asText(fix.edit).slice(0, 160) : ''}`.trimEnd();
  });
}

describe('ordinary writing, as it was looked at', () => {
  it('is understood line by line', () =>
    areAsApproved(
      'lines',
      read.flatMap(({ name, lines }) => [
        `== ${name}`,
        ...lines.map(
          ({ text, kind, words, counts, unsure, over, steps }) =>
            `${text}\n  ${unsure ? '?' : ' '} ${kind} | ${words} | ${asText(counts)} ${asText({ over, steps })}`,
        ),
      ]),
    ));

  it('becomes these classes', () =>
    areAsApproved(
      'classes',
      read.flatMap(({ name, plan }, at) => (at % 4 === 0 ? [`== ${name}`, writeScript(plan)] : [])),
    ));

  it('gives these findings, and these words that fit', () =>
    areAsApproved(
      'findings',
      read.flatMap(({ name, plan }) => [
        `== ${name}`,
        ...findingsOf(plan),
        `  words: ${asText(fitWords(plan, expandPlan(plan)).changes)}`,
      ]),
    ));
});
