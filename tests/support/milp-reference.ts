import highsLoader from 'highs';
import type { FitProblem } from '@/core/pacing';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let loaded: Promise<Highs> | null = null;

/**
 * The same fit by HiGHS, an independent exact mixed-integer solver: one program a breath length, gap 0. Costs in
 * millionths of ours, so that its numbers stay well scaled. `null` when no breath length is feasible.
 */
export async function cheapestByHighs(problem: FitProblem): Promise<number | null> {
  loaded ??= highsLoader();
  const highs = await loaded;
  let best: number | null = null;
  for (const breath of problem.breaths) {
    const solved = highs.solve(programFor(problem, breath.unitMilliseconds), {
      mip_rel_gap: 0,
      mip_abs_gap: 0,
      mip_feasibility_tolerance: 1e-9,
      primal_feasibility_tolerance: 1e-9,
    });
    if (solved.Status !== 'Optimal') continue;
    const cost = breath.cost / 1e9 + solved.ObjectiveValue;
    if (best === null || cost < best) best = cost;
  }
  return best;
}

/** In the LP format; times in seconds. The reader keeps only the last of repeated terms, so each name stands once. */
function programFor(problem: FitProblem, unit: Float64Array): string {
  const objective: string[] = [];
  const runtime: string[] = [];
  const rows: string[] = [];
  const bounds: string[] = [];
  const binaries: string[] = [];
  problem.items.forEach((item, index) => {
    const names = item.choices.map((choice, at) => {
      const name = `x${index}_${at}`;
      objective.push(`+ ${choice.cost / 1e9} ${name}`);
      runtime.push(`+ ${(choice.rounds * unit[index]) / 1000} ${name}`);
      binaries.push(name);
      return name;
    });
    rows.push(`one${index}: ${names.join(' + ')} = 1`);
  });
  problem.elastic.forEach((item, index) => {
    const slope = (item.costPerMillisecond * 1000) / 1e9;
    objective.push(`+ ${slope} up${index} + ${slope} down${index}`);
    runtime.push(`+ up${index} - down${index}`);
    bounds.push(`0 <= up${index} <= ${(item.most - item.preferred) / 1000}`);
    bounds.push(`0 <= down${index} <= ${(item.preferred - item.least) / 1000}`);
  });
  bounds.push(`${-problem.tolerance / 1000} <= spare <= ${problem.tolerance / 1000}`);
  const preferred = problem.elastic.reduce((total, item) => total + item.preferred, problem.fixed);
  rows.push(`runtime: ${runtime.join(' ')} + spare = ${(problem.target - preferred) / 1000}`);
  const objectiveText = objective.length > 0 ? objective.join(' ') : '0 spare';
  const binaryText = binaries.length > 0 ? `Binary\n ${binaries.join(' ')}\n` : '';
  return `Minimize\n obj: ${objectiveText}\nSubject To\n ${rows.join('\n ')}\nBounds\n ${bounds.join('\n ')}\n${binaryText}End\n`;
}
