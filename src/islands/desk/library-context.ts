import { createContext, useContext } from 'react';
import type { LibraryEntry, MovementResponse } from '@/api/movements';
import { send } from '@/api/client';
import { contentOf, makeLibraryMovement, summaryOf } from '@/core/movement';
import type { MovementStep } from '@/core/plan';

export interface DeskLibrary {
  readonly entries: readonly LibraryEntry[];
  /** What was added to the library from here. */
  readonly onAdded: (entry: LibraryEntry) => void;
}

/** The studio's movements, for completion and to see what has changed since a class took its copy. */
export const LibraryContext = createContext<DeskLibrary>({ entries: [], onAdded: () => undefined });

export function useLibrary(): readonly LibraryEntry[] {
  return useContext(LibraryContext).entries;
}

/** Fetches a movement; `null` when it cannot be had at the moment. */
export async function fetchMovement(id: string): Promise<MovementResponse | null> {
  const answer = await send<MovementResponse>('GET', `/api/movements/${id}`);
  return answer.ok ? answer.value : null;
}

/** Adds a class's movement to the library; the entry made, or why it was not. */
export async function addToLibrary(step: MovementStep): Promise<LibraryEntry | { readonly problem: string }> {
  const movement = makeLibraryMovement(contentOf(step));
  const answer = await send<MovementResponse>('POST', '/api/movements', { movement });
  if (!answer.ok) return { problem: answer.problem.detail };
  const { id, revision, archived } = answer.value;
  return { id, revision, archived, summary: summaryOf(answer.value.movement), media: null };
}
