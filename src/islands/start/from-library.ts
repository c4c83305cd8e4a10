import type { LibraryEntry, MovementResponse } from '@/api/movements';
import { send } from '@/api/client';
import { stepsInOrder, stepOf, type ClassPlan } from '@/core/plan';
import { withWritten, type Counts, type ReadScript } from '@/core/plain-script';

/** Movements of a script that the library knows by one of their names, by the name in the script. */
export function knownMovements(read: ReadScript, library: readonly LibraryEntry[]): ReadonlyMap<string, LibraryEntry> {
  const byName = new Map<string, LibraryEntry>();
  for (const entry of library) {
    if (entry.archived) continue;
    const { name, traditionalName, otherNames } = entry.summary;
    for (const one of [name, traditionalName, ...otherNames]) if (one !== '') byName.set(plain(one), entry);
  }
  const found = new Map<string, LibraryEntry>();
  for (const { step } of stepsInOrder(read.plan)) {
    const entry = step.kind === 'movement' && step.source === null ? byName.get(plain(step.name)) : undefined;
    if (entry) found.set(step.name, entry);
  }
  return found;
}

/** The class with those movements taken from the library; what the script writes of them wins. */
export async function withLibrary(read: ReadScript, known: ReadonlyMap<string, LibraryEntry>): Promise<ClassPlan> {
  const ids = [...new Set([...known.values()].map((entry) => entry.id))];
  const answers = await Promise.all(ids.map((id) => send<MovementResponse>('GET', `/api/movements/${id}`)));
  const fetched = new Map(answers.flatMap((answer) => (answer.ok ? [[answer.value.id, answer.value] as const] : [])));
  const countsOf = countsInOrder(read);
  const sections = read.plan.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => {
      const entry = known.get(step.name);
      const found = entry && fetched.get(entry.id);
      const counts = countsOf(step.name);
      if (step.kind !== 'movement' || !found) return step;
      const taken = stepOf(() => crypto.randomUUID(), found.movement, {
        movementId: found.id,
        revision: found.revision,
      });
      return { ...withWritten(taken, step, counts), name: step.name };
    }),
  }));
  return { ...read.plan, sections };
}

/** The amounts of the lines of a name, one after the other: a movement may be written twice, with another amount. */
function countsInOrder({ lines }: ReadScript): (name: string) => Counts {
  const byName = new Map<string, Counts[]>();
  for (const { kind, words, counts } of lines)
    if (kind === 'movement') byName.set(words, [...(byName.get(words) ?? []), counts]);
  return (name) => {
    const left = byName.get(name) ?? [];
    return (left.length > 1 ? left.shift() : left[0]) ?? {};
  };
}

function plain(name: string): string {
  return name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase();
}
