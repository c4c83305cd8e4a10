import { itemAt } from '@/core/units';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CHECKS, CHECK_GROUPS, checkPlan, GRAVITIES } from '@/core/checks';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { CHECK_GROUP_WORDS, CHECK_WORDS, findingWords, fixWords, GRAVITY_WORDS } from '@/messages/checks';
import { FAULTS } from '../checks/faults';

const page = readFileSync(new URL('../../docs/checks.md', import.meta.url), 'utf8');

describe('the words of the checks', () => {
  it('exist for every check, and none promises or gives a verdict', () => {
    expect(Object.keys(CHECK_WORDS).sort()).toEqual(CHECKS.map(({ name }) => name).sort());
    for (const group of CHECK_GROUPS) expect(CHECK_GROUP_WORDS[group]).not.toBe('');
    for (const gravity of GRAVITIES) expect(GRAVITY_WORDS[gravity]).not.toBe('');
    for (const { make, check } of FAULTS) {
      const plan = make(itemAt(demoClasses(), 0).plan);
      for (const finding of checkPlan(plan, expandPlan(plan))) {
        const { title, why } = findingWords(finding);
        expect(title, check).toMatch(/^[A-Z“]/);
        expect(why, check).toMatch(/[.!?]$/);
        expect(`${title} ${why}`, check).not.toMatch(/undefined|NaN|\[object|\bsafe\b/);
        if (finding.fix) expect(fixWords(finding.check, finding.fix), check).toMatch(/^[A-Z]/);
      }
    }
  });

  it('stand in docs/checks.md with the gravity and a threshold', () => {
    for (const { name, gravity } of CHECKS) {
      expect(page).toMatch(new RegExp(`\\| \`${name}\`\\s+\\| ${gravity}\\s+\\| \\S.*\\| \\S`));
    }
    expect([...page.matchAll(/^\| `/gm)].length).toBe(CHECKS.length);
  });
});
