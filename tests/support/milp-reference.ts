import { itemAt } from '@/core/units';
import highsLoader from 'highs';
import { ChoiceBuffer, writeChoices, type ElasticItem, type FitProblem } from '@/core/pacing';

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
  for (let at = 0; at < problem.breaths.length; at++) {
    const solved = highs.solve(programFor(problem, at), {
      mip_rel_gap: 0,
      mip_abs_gap: 0,
      mip_feasibility_tolerance: 1e-9,
      primal_feasibility_tolerance: 1e-9,
    });
    if (solved.Status !== 'Optimal') continue;
    const cost = itemAt(problem.breaths, at).cost / 1e9 + solved.ObjectiveValue;
    if (best === null || cost < best) best = cost;
  }
  return best;
}

/** The terms of a program as they gather. The reader keeps only the last of repeated terms, so each name stands once. */
class Program {
  readonly objective: string[] = [];
  readonly runtime: string[] = [];
  readonly rows: string[] = [];
  readonly bounds: string[] = [];
  readonly binaries: string[] = [];

  /** A part that stretches; `present` names the binaries one of which is 1 while it is there. */
  stretch(item: ElasticItem, name: string, present: readonly string[] | null): void {
    const slope = (item.costPerMillisecond * 1000) / 1e9;
    const max = [(item.max - item.preferred) / 1000, (item.preferred - item.min) / 1000];
    ['up', 'down'].forEach((way, at) => {
      this.objective.push(`+ ${slope} ${way}${name}`);
      this.runtime.push(`${at === 0 ? '+' : '-'} ${way}${name}`);
      this.bounds.push(`0 <= ${way}${name} <= ${max[at]}`);
      if (present === null) return;
      const room = present.map((binary) => `- ${max[at]} ${binary}`).join(' ');
      this.rows.push(`${way}there${name}: ${way}${name} ${room} <= 0`);
    });
  }

  text(problem: FitProblem): string {
    this.bounds.push(`${-problem.tolerance / 1000} <= spare <= ${problem.tolerance / 1000}`);
    const preferred = problem.elastic.reduce((total, item) => total + item.preferred, problem.fixed);
    this.rows.push(`runtime: ${this.runtime.join(' ')} + spare = ${(problem.target - preferred) / 1000}`);
    const objective = this.objective.length > 0 ? this.objective.join(' ') : '0 spare';
    const binaries = this.binaries.length > 0 ? `Binary\n ${this.binaries.join(' ')}\n` : '';
    return `Minimize\n obj: ${objective}\nSubject To\n ${this.rows.join('\n ')}\nBounds\n ${this.bounds.join('\n ')}\n${binaries}End\n`;
  }
}

/** In the LP format; times in seconds. */
function programFor(problem: FitProblem, at: number): string {
  const program = new Program();
  const buffer = new ChoiceBuffer();
  problem.items.forEach((item, index) => {
    writeChoices(item, at, problem.weights, buffer);
    const names: string[] = [];
    const present: string[] = [];
    for (let choice = 0; choice < buffer.size; choice++) {
      const name = `x${index}_${choice}`;
      names.push(name);
      if (choice !== buffer.out) present.push(name);
      program.objective.push(`+ ${itemAt(buffer.costs, choice) / 1e9} ${name}`);
      program.runtime.push(`+ ${itemAt(buffer.milliseconds, choice) / 1000} ${name}`);
      program.binaries.push(name);
    }
    program.rows.push(`one${index}: ${names.join(' + ')} = 1`);
    item.elastic.forEach((part, of) => program.stretch(part, `${index}_${of}`, present));
  });
  problem.elastic.forEach((item, index) => program.stretch(item, `s${index}`, null));
  return program.text(problem);
}
