import type { LibraryEntry, MovementResponse } from '@/api/movements';
import { send } from '@/api/client';
import { stepsInOrder, stepOf, type ClassPlan } from '@/core/plan';
import { withWritten, type ReadScript } from '@/core/plain-script';

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
  const counts = new Map(
    read.lines.filter((line) => line.kind === 'movement').map((line) => [line.words, line.counts]),
  );
  const sections = read.plan.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) => {
      const entry = known.get(step.name);
      const found = entry && fetched.get(entry.id);
      if (step.kind !== 'movement' || !found) return step;
      const taken = stepOf(() => crypto.randomUUID(), found.movement, {
        movementId: found.id,
        revision: found.revision,
      });
      return { ...withWritten(taken, step, counts.get(step.name) ?? {}), name: step.name };
    }),
  }));
  return { ...read.plan, sections };
}

function plain(name: string): string {
  return name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .toLowerCase();
}
