/**
 * How ordinary writing is understood: `npm run bench:writing -- [hand]`. Many hands with what each line means; some of
 * them are only read. With a hand's name its lines that were not understood are shown, for hands that are not kept.
 */
import { readScript } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../tests/support/chance';
import { hands, isAsMeant } from '../tests/support/hands';

const asked = process.argv[2];
const none = () => ({ all: 0, right: 0, marked: 0, doubted: 0 });
const sums = {
  tuned: none(),
  known: none(),
  kept: none(),
  unread: none(),
  usual: none(),
  later: none(),
  last: none(),
  newest: none(),
  final: none(),
  'after-all': none(),
};
for (const { name, half, lines } of hands()) {
  const { lines: read } = readScript(countingIds('w'), lines.map(({ text }) => text).join('\n'));
  const sum = sums[half];
  let [right, marked, doubted] = [0, 0, 0];
  lines.forEach((line, at) => {
    const found = itemAt(read, at);
    if (isAsMeant(line, found)) {
      right++;
      if (found.unsure) doubted++;
    } else {
      if (found.unsure) marked++;
      if (name === asked && (half === 'tuned' || half === 'known')) console.log(`${found.unsure ? '?' : '!'} ${line.text}  ->  ${found.kind} “${found.words}” ${JSON.stringify(found.counts)}`); // prettier-ignore
    }
  });
  sum.all += lines.length;
  sum.right += right;
  sum.marked += marked;
  sum.doubted += doubted;
  console.log(
    `${name.padEnd(10)} ${half} ${right} of ${lines.length} as meant; of the others ${marked} marked, and ${doubted} of the right ones`,
  );
}
for (const [part, { all, right, marked, doubted }] of Object.entries(sums)) {
  console.log(
    `${part}: ${((100 * right) / all).toFixed(1)} % of ${all} lines as meant; ${marked} of ${all - right} others marked, and ${doubted} of the right ones`,
  );
}
