import { itemAt } from '@/core/units';
import { ChoiceBuffer, writeChoices, type ElasticItem, type FitProblem } from '@/core/pacing';

/** Every breath and every choice tried; what stretches and the tolerance taken up in order of cost. */
export function cheapestOfAll(problem: FitProblem): number | null {
  let best: number | null = null;
  const standing = problem.elastic.reduce((sum, item) => sum + item.preferred, problem.fixed);
  problem.breaths.forEach((breath, at) => {
    const choices = problem.items.map((item) => {
      const buffer = new ChoiceBuffer();
      writeChoices(item, at, problem.weights, buffer);
      return Array.from({ length: buffer.size }, (_, choice) => ({
        milliseconds: itemAt(buffer.milliseconds, choice),
        cost: itemAt(buffer.costs, choice),
        elastic: choice === buffer.out ? [] : item.elastic,
      }));
    });
    const visit = (index: number, length: number, cost: number, elastic: readonly ElasticItem[]): void => {
      if (index < choices.length) {
        for (const choice of itemAt(choices, index)) {
          visit(index + 1, length + choice.milliseconds, cost + choice.cost, [...elastic, ...choice.elastic]);
        }
        return;
      }
      const total = taking(elastic, problem.tolerance, problem.target - length);
      if (total !== null && (best === null || cost + total < best)) best = cost + total;
    };
    visit(0, standing, breath.cost, problem.elastic);
  });
  return best;
}

function taking(elastic: readonly ElasticItem[], tolerance: number, off: number): number | null {
  let left = Math.max(0, Math.abs(off) - tolerance);
  let total = 0;
  for (const item of [...elastic].sort((a, b) => a.costPerMillisecond - b.costPerMillisecond)) {
    const taken = Math.min(left, off > 0 ? item.max - item.preferred : item.preferred - item.min);
    total += taken * item.costPerMillisecond;
    left -= taken;
  }
  return left === 0 ? total : null;
}
