import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readScript, type ReadLine } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';

/*
 * Lines of each kind in many words, in a class whose other lines are plain, each in one of a few layouts. The rows were
 * written one after the other, each before it was looked at how the reader takes it; rules were then made on it.
 */

const ROWS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
] as const;

interface Form {
  readonly text: string;
  readonly kinds: readonly string[];
  readonly seconds: number | null;
  readonly rounds: number | null;
  readonly sided: boolean;
  /** Whether it stands below a movement, which has its amount or waits for it. */
  readonly below: 'counted' | 'bare' | null;
}

function formsOf(row: (typeof ROWS)[number]): readonly Form[] {
  const text = readFileSync(new URL(`kinds/${row}.txt`, import.meta.url), 'utf8');
  return text.split(/^# /mu).flatMap((part) => {
    const [head = '', ...lines] = part.trim().split('\n');
    const [, kinds = '', seconds, rounds, sided, below] =
      /^([a-z ]+?)(?: (\d+) s)?(?: x(\d+))?( sides)?( below(?: a bare name)?)?$/.exec(head) ?? [];
    return lines.map((line, at): Form => {
      const [said = '', also] = line.split(' => ');
      return {
        text: said,
        kinds: [...kinds.split(' '), ...(also === undefined ? [] : [also])],
        seconds: seconds === undefined ? null : Number(seconds),
        rounds: rounds === undefined ? null : Number(rounds),
        sided: sided !== undefined,
        below:
          below === undefined ? null : /bare/.test(below) || (/hale/.test(kinds) && at % 2 === 1) ? 'bare' : 'counted',
      };
    });
  });
}

/** A class with the form as one of its lines, in the layout that its number has, and where the line stands. */
function classWith(
  { text, kinds, below }: Form,
  layout: number,
): { readonly lines: readonly string[]; readonly at: number } {
  const isPart = kinds[0] === 'section';
  const mark = itemAt(['', '', '- ', '• ', ''], layout % 5);
  const inset = below === null ? null : itemAt(['', '   ', '  - ', '\t', ''], layout % 5);
  const above = `${mark}Tide steps${below === 'bare' ? '' : ' x8'}`;
  const line = isPart ? text : inset === null ? mark + text : inset + text;
  const lines = [
    ...['Evening class', '', 'Warm up', `${mark}Neck rolls x5`, above],
    ...(isPart ? [''] : []),
    line,
    `${mark}Folding the sail x6`,
    ...(isPart ? [`${mark}Rowing x4`] : []),
    ...['', 'Closing', 'Bow x1'],
  ];
  return { lines: layout % 5 === 4 ? lines.map((one) => one.toLowerCase()) : lines, at: isPart ? 6 : 5 };
}

function isAsMeant({ kinds, seconds, rounds, sided }: Form, { kind, counts }: ReadLine): boolean {
  return (
    kinds.includes(kind) &&
    (seconds === null || counts.seconds?.[0] === seconds) &&
    (rounds === null || counts.rounds === rounds) &&
    (!sided || (counts.sides !== undefined && counts.sides !== 'together'))
  );
}

describe('lines of each kind in many words', () => {
  it.each(ROWS)('are read as meant, or marked: the %s row', (row) => {
    const forms = formsOf(row);
    const wrong = forms.flatMap((form, at) => {
      const { lines, at: index } = classWith(form, at);
      const line = itemAt(readScript(countingIds('k'), lines.join('\n')).lines, index);
      return isAsMeant(form, line) ? [] : [{ text: itemAt(lines, index), kind: line.kind, unsure: line.unsure }];
    });
    expect(forms.length).toBeGreaterThan(190);
    expect(wrong.length / forms.length, JSON.stringify(wrong, null, 1)).toBeLessThanOrEqual(0.05);
    expect(wrong.filter(({ unsure }) => !unsure).length / forms.length).toBeLessThanOrEqual(0.02);
  });
});
