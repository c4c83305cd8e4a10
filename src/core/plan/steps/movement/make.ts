import type { NewId } from '@/core/document';
import { contentOf, copyContent, makeContent, type MovementContent } from '@/core/movement';
import type { MovementStep } from './schema';

const CHOSEN_NOTHING = {
  pinned: false,
  skipped: false,
  blockId: null,
  tieId: null,
  view: 'front',
  intro: 'full',
} as const;

/** A movement step that keeps its own copy of `content`, with nothing chosen for it yet. */
export function stepOf(newId: NewId, content: MovementContent, source: MovementStep['source'] = null): MovementStep {
  return {
    kind: 'movement',
    id: newId(),
    ...copyContent(newId, contentOf(content)),
    rounds: content.preferredRounds,
    seconds: content.preferredSeconds,
    ...CHOSEN_NOTHING,
    source,
  };
}

export function makeMovement(
  newId: NewId,
  name: string,
  part: Partial<Omit<MovementStep, 'kind' | 'id'>> = {},
): MovementStep {
  const id = newId();
  const content = makeContent(newId, name, part);
  return {
    kind: 'movement',
    id,
    ...content,
    rounds: content.preferredRounds,
    seconds: content.preferredSeconds,
    ...CHOSEN_NOTHING,
    source: null,
    ...part,
  };
}
