import { useCallback, useEffect, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import type { Learning } from '@/api/learning';
import type { MovementResponse } from '@/api/movements';
import type { Proposal } from '@/core/learn';
import { applyEdit, findStep, isMovement, withLastPause, type Edit } from '@/core/plan';

/** What became of a proposal, in words; `undo` takes it out of the class again. */
export interface Taken {
  readonly words: string;
  readonly undo?: Edit;
}

/** What the takes of a class teach, asked for when it is first shown and again after a change. */
export function useLearning(classId: string) {
  const [learning, setLearning] = useState<Learning | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const again = useCallback(async () => {
    const answer = await send<Learning>('GET', `/api/classes/${classId}/learning`);
    if (answer.ok) setLearning(answer.value);
    else setTrouble(answer.problem.detail);
  }, [classId]);
  useEffect(() => {
    void again();
  }, [again]);
  return { learning, trouble, again };
}

/** Applies a proposal to the class as it stands on the server; nothing is changed when another save comes between. */
export async function takeIntoClass(
  classId: string,
  { edit, kind }: Pick<Proposal, 'edit'> & { readonly kind: Proposal['kind'] | null },
): Promise<Taken> {
  const stored = await send<ClassResponse>('GET', `/api/classes/${classId}`);
  if (!stored.ok) return { words: stored.problem.detail };
  const applied = applyEdit(stored.value.plan, edit);
  if (!applied.ok) return { words: 'The class has changed since: that step is not in it any more.' };
  const body = { baseRevision: stored.value.revision, plan: applied.value.plan };
  const answer = await send('PUT', `/api/classes/${classId}`, body);
  if (!answer.ok) return { words: answer.problem.detail };
  return kind === null ? { words: 'Undone.' } : { words: 'Changed in the class.', undo: applied.value.inverse };
}

/** Keeps the rate as a measure of the studio's voice, from which new classes reckon. */
export async function takeIntoVoice({ to }: Proposal): Promise<Taken> {
  const body = { syllablesPerMinute: to, pauseSeconds: null, how: 'take' };
  const answer = await send('POST', '/api/voice', body);
  return { words: answer.ok ? 'Saved as a measurement of my voice.' : answer.problem.detail };
}

/** Gives the library's entry of a movement the silence after its teaching that the class is given. */
export async function takeIntoLibrary(classId: string, { step, pauseSeconds }: Proposal): Promise<Taken> {
  const stored = await send<ClassResponse>('GET', `/api/classes/${classId}`);
  if (!stored.ok) return { words: stored.problem.detail };
  const found = findStep(stored.value.plan, step ?? '')?.step;
  const source = isMovement(found) ? found.source : null;
  if (!source || pauseSeconds === null) return { words: 'This movement is not from the library.' };
  const entry = await send<MovementResponse>('GET', `/api/movements/${source.movementId}`);
  if (!entry.ok) return { words: entry.problem.detail };
  const { movement, revision } = entry.value;
  if (movement.teach.length === 0) return { words: 'The library’s entry has nothing taught.' };
  const answer = await send('PUT', `/api/movements/${source.movementId}`, {
    baseRevision: revision,
    movement: { ...movement, teach: withLastPause(movement.teach, pauseSeconds) },
  });
  return { words: answer.ok ? `${movement.name} was changed in the library.` : answer.problem.detail };
}
