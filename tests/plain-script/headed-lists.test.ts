import { describe, expect, it } from 'vitest';
import { isMovement } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * A part of a class with its time above what it is made of, written in forty ways over five kinds of lists: what is in it
 * is in it, shares its time where nothing else is written, and the time is no step beside it.
 */

const HEADS = [
  'Warm up (5 min)',
  'Warm up [5 min]',
  "Warm-up 5'",
  'Warm up ........ 5 min',
  'Warm up – 5 mins',
  'Warm up, 5 minutes',
  'WARM UP - 5 MIN',
  'WARM UP (5)',
  '**Warm up** (5 min)',
  '5 min warm up',
  '5 mins - warm up',
  "5' Warm up",
  '5 min: Warm up',
  'Warm up: 5 minutes',
  '1. Warm up (5 min)',
  '1. Warm up - 5 min',
  'I. Warm up (5 min)',
  'Part 1: Warm up (5 min)',
  'Part one - warm up - 5 min',
  'Warming up the joints (5 min)',
  'Warm up (about 5 minutes)',
  'Warm up (approx. 5 min.)',
  'Warm-up (0-5 min)',
  'Warm up = 5 min',
  'Warm up / 5 min',
  'Warm up (5 min):',
  'Warm up (5 min) -',
  '## Warm up (5 min)',
  'Gentle warm up 5 min',
  'Warm up | 5 min',
  'Warm up\t5 min',
  'Opening exercises (5 min)',
  'Standing practice (5 min)',
  'Floor work (5 min)',
  'Flow (5 min)',
  'Joint opening, 5 min',
  'Five minutes warm up',
  'Warm up for five minutes',
  'Warm up - 5 to 6 min',
];
const LISTS = {
  'with dashes': ['- neck rolls', '- hip circles', '- shoulder rolls'],
  'without marks': ['neck rolls', 'hip circles', 'shoulder rolls'],
  'with letters': ['a) neck rolls', 'b) hip circles', 'c) shoulder rolls'],
  'with amounts': ['- neck rolls x8', '- hip circles x6', '- shoulder rolls x8'],
  'further in': ['  neck rolls x4', '  hip circles 6 each way', '  shoulder rolls x8'],
};

/** The movements of the part that holds the neck rolls, and how long each is where it goes by the clock. */
function partOf(head: string, list: readonly string[], gap: boolean): readonly (number | null)[] {
  const above = ['Tuesday class', '', 'Hello and welcome.', ...(gap ? [''] : [])];
  const text = [...above, head, ...list, '', 'Main set', '- Lift the water x8'].join('\n');
  const { plan } = readScript(countingIds('h'), text);
  const part = plan.sections.find(({ steps }) => steps.some((step) => step.name === 'neck rolls'));
  return (part?.steps ?? []).filter(isMovement).map((step) => (step.pacedBy === 'clock' ? step.seconds : null));
}

describe('a part with its time above a list', () => {
  it.each(Object.entries(LISTS))('%s', (kind, list) => {
    const cases = HEADS.flatMap((head) => [true, false].map((gap) => ({ head, gap, found: partOf(head, list, gap) })));
    const amounts = kind === 'with amounts' || kind === 'further in';
    const wrong = cases.filter(({ found }) => {
      const total = found.reduce<number>((sum, one) => sum + (one ?? 0), 0);
      return found.length !== list.length || (amounts ? total > 0 : total < 280 || total > 340);
    });
    // Names right below another line that only sounds like a part may be steps beside it.
    const allowed = ({ head, gap }: (typeof wrong)[number]): boolean =>
      kind === 'without marks' && !gap && /joint|gentle|opening|flow/i.test(head);
    expect(wrong.filter((one) => !allowed(one))).toEqual([]);
  });
});
