import { describe, expect, it } from 'vitest';
import { readScript, type Counts } from '@/core/plain-script';
import { itemAt, Random } from '@/core/units';
import { countingIds } from '../support/chance';

/*
 * Steps put together from their parts, each written as people write it: what leads to a step, its name, its amount, its
 * sides, what stands between them, a remark, a mark or a time before it, capitals. Each part by itself is understood; here
 * they meet. Common practice, no published source.
 */

const NAMES = ['Cloud hands', 'Lifting the lamp', 'Knee circles', 'Arm swings', 'Pushing the barge', 'Turning the waist', 'Rowing home', 'Opening the gate', 'Wrist rolls', 'Coiling the line', 'Parting the reeds', 'Swimming otter', 'Bear turns', 'Heel raises', 'Gathering leaves', 'Heron spreads wings', 'Side bends', 'Drawing the net', 'Shoulder shrugs', 'Pulling the rope', 'Windmill arms', 'Stork walk', 'Low punches', 'Looking behind']; // prettier-ignore

type Amount = readonly [written: string, min: number, max: number];
const same = (written: string, of: number): Amount => [written, of, of];
const ROUNDS: readonly Amount[] = [
  ...['x6', '6x', 'x 6', '6 x', '×6', '6 times', 'six times', '6 rounds', '6 reps', '6 repetitions', 'for 6 rounds', 'repeat 6 times', 'do it 6 times', '6 slow ones', 'a set of 6', 'half a dozen', 'about 6 times', 'around 6x', 'at least 6 times', 'up to 6 times', '6 breaths'].map((written) => same(written, 6)), // prettier-ignore
  same('twice', 2),
  same('three times', 3),
  ...['4-6 times', '4 to 6x', '4–6 rounds', 'between 4 and 6 times', 'x4-6'].map((written): Amount => [written, 4, 6]),
  ['4 or 5 times', 4, 5],
];
const SECONDS: readonly Amount[] = [
  same('45 s', 45),
  same('45 sec', 45),
  same('1:30', 90),
  same('90 seconds', 90),
  same('half a minute', 30),
  ...['1 min', '1 minute', 'for a minute'].map((written) => same(written, 60)),
  ...['1.5 min', '1½ min'].map((written) => same(written, 90)),
  ...["2'", '2 mins', 'for about two minutes', 'approx. 2 min', '~2 min'].map((written) => same(written, 120)),
];
const SIDES = ['', '', '', 'each side', 'per side', 'ea. side', 'on each side', 'either side', 'each leg', 'per arm', 'L/R', 'left and right', 'both sides', 'left then right', 'alternating sides', 'each way', 'each direction', 'both directions']; // prettier-ignore
const BETWEEN = [' ', ', ', ': ', ' - ', ' – ', ' (', '; ', ' … ', ' = ', '. '];
const REMARKS = ['', '', '', ', slow', ' (slow)', ' - soft knees', '. Keep the shoulders soft.', ', eyes soft', ', no rush', '; watch the knees', ' nice and easy', ', easy pace', ' (mirror me)', ', small first', ' with the breath', ', then shake out', ' [keep it light]', ' — feet wide']; // prettier-ignore
const LEADS = ['', '', '', 'then ', 'Next: ', 'Now ', 'and ', 'Finally, ', 'Next up: ', 'we do ', 'Practise ', 'on to ', 'back to ', 'into ', 'followed by ']; // prettier-ignore
const MARKS = ['', '- ', '3. ', '3) ', '• ', '* ', '– ', '[ ] '];
const TIMES = ['', '', '', '4:30 ', '[04:30] ', '04:30 - '];
const CASES: readonly ((text: string) => string)[] = [(text) => text, (text) => text.toLowerCase(), (text) => text.toUpperCase()]; // prettier-ignore

/** A class with one line of parts in it: each of them is written otherwise than plainly this often. */
function composed(
  random: Random,
  often: number,
): { text: string; line: number; isAsMeant: (read: Counts, words: string) => boolean } {
  // prettier-ignore
  const of = <Item>(items: readonly Item[], plain: Item): Item => (random.yes(often) ? random.pick(items) : plain);
  const name = random.pick(NAMES);
  const timed = random.yes(0.4);
  const [amount, min, max] = random.pick(timed ? SECONDS : ROUNDS);
  const sides = random.pick(SIDES);
  const between = random.pick(BETWEEN);
  const remark = of(REMARKS, '');
  const lead = of(LEADS, '');
  const time = of(TIMES, '');
  const mark = time === '' ? of(MARKS, '- ') : '- ';
  const cased = of(CASES, (text: string) => text);
  const amounts = sides === '' ? amount : random.yes(0.2) ? `${sides}, ${amount}` : `${amount} ${sides}`;
  const led = /[^:] $/.test(lead) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
  const isFirst = random.yes(often * 0.2);
  const step = isFirst
    ? `${lead}${amounts}${random.pick([' ', ' of ', ', '])}${led}${remark}`
    : `${lead}${led}${between}${amounts}${between === ' (' ? ')' : ''}${remark}`;
  const row = (number: number, told: string): string => mark.replace('3', String(number)) + time.replace('4', String(number + 1)) + cased(told); // prettier-ignore
  const lines = ['Evening class', '', cased('Warm up'), row(1, 'Neck rolls x5'), row(2, 'Tide steps x8'), row(3, step), row(4, 'Folding the sail x6'), '', cased('Closing'), cased('Stand quietly 1 min')]; // prettier-ignore
  const isAsMeant = ({ rounds, roundsWithin, seconds, sides: read }: Counts, words: string): boolean => {
    const often = timed ? rounds === undefined : (roundsWithin?.[0] ?? rounds) === min && (roundsWithin?.[1] ?? rounds) === max; // prettier-ignore
    // The time of one side is that of both, twice; a column of times tells a time as well.
    const long = !timed || time !== '' || [min, 2 * min].includes(seconds?.[0] ?? 0);
    const sided = sides === '' || (read !== undefined && read !== 'together');
    return often && long && sided && words.toLowerCase() === name.toLowerCase();
  };
  return { text: lines.join('\n'), line: 5, isAsMeant };
}

/** The share of composed steps that are as meant, and of all those that are wrong and not marked. */
function readComposed(seed: number, often: number, count: number): { right: number; unmarked: number } {
  const random = new Random(seed);
  let [right, unmarked] = [0, 0];
  for (let at = 0; at < count; at++) {
    const { text, line, isAsMeant } = composed(random, often);
    const { kind, counts, words, steps = 1, unsure } = itemAt(readScript(countingIds('c'), text).lines, line);
    if (kind === 'movement' && steps === 1 && isAsMeant(counts, words)) right++;
    else if (!unsure) unmarked++;
  }
  return { right: right / count, unmarked: unmarked / count };
}

describe('a step of parts that are each understood', () => {
  it('is as meant where one or two of them are unusual, nearly always', () => {
    const { right, unmarked } = readComposed(11, 0.25, 1_000);
    expect(right).toBeGreaterThanOrEqual(0.99);
    expect(unmarked).toBeLessThanOrEqual(0.005);
  });

  it('is as meant where many of them are, 97 of 100', () => {
    const { right, unmarked } = readComposed(12, 1, 1_000);
    expect(right).toBeGreaterThanOrEqual(0.97);
    expect(unmarked).toBeLessThanOrEqual(0.01);
  });
});
