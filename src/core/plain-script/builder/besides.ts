import type { LineKind, ReadLine } from '../model/model';
import type { Reading } from '../model/reading';

const STEPS: ReadonlySet<LineKind> = new Set(['movement', 'silence']);

/** What a line tells beside its first reading: how many steps it names in all, and what else stands in it, each kind once. */
export function besides(readings: readonly Reading[], first: Reading): Pick<ReadLine, 'steps' | 'also'> {
  const steps = readings.filter(({ kind }) => STEPS.has(kind)).length;
  const kinds = readings.filter((one) => one !== first && one.words !== '').map(({ kind }) => kind);
  const also = [...new Set(kinds)].filter((kind) => kind !== 'section' && !(steps > 1 && STEPS.has(kind)));
  return { ...(steps > 1 ? { steps } : {}), ...(also.length > 0 ? { also } : {}) };
}
