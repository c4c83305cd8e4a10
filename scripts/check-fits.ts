import { besideHighs } from '../tests/support/beside-highs';

/*
 * The long run: random plans that use every feature of the fit, by our solver and by HiGHS with gap 0.
 * `npm run check-fits [plans] [first seed]`. Prints the worst gap; the exit status is 1 when one is above 2e-6.
 */
const [plans = 2000, first = 1] = process.argv.slice(2).map(Number);
let worst = { seed: 0, gap: 0 };
let feasible = 0;
let unproven = 0;
let off = 0;
for (let seed = first; seed < first + plans; seed++) {
  const found = await besideHighs(seed);
  if (found.gap > worst.gap) worst = { seed, gap: found.gap };
  if (found.feasible) feasible++;
  if (!found.proven) unproven++;
  off = Math.max(off, found.offSeconds);
  if ((seed - first + 1) % 100 === 0) console.log(`${seed - first + 1} plans, worst gap ${worst.gap}`);
}
console.log(
  `${plans} plans, ${feasible} feasible, worst gap ${worst.gap} (seed ${worst.seed}), unproven ${unproven}, ` +
    `farthest from the target ${off.toFixed(3)} s`,
);
process.exitCode = worst.gap < 2e-6 ? 0 : 1;
