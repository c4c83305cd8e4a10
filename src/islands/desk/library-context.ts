import { createContext, useContext } from 'react';
import type { LibraryEntry, MovementResponse } from '@/api/movements';
import { send } from '@/api/client';

/** The studio's movements, for completion and to see what has changed since a class took its copy. */
export const LibraryContext = createContext<readonly LibraryEntry[]>([]);

export function useLibrary(): readonly LibraryEntry[] {
  return useContext(LibraryContext);
}

/** Fetches a movement; `null` when it cannot be had at the moment. */
export async function fetchMovement(id: string): Promise<MovementResponse | null> {
  const answer = await send<MovementResponse>('GET', `/api/movements/${id}`);
  return answer.ok ? answer.value : null;
}
