import { deleteFile, findFile, insertFile } from '@/db/queries/media';
import type { Asking } from './studio';

/**
 * Where files of a studio lie, by key. Here it is the database, so that a copy of it holds everything; a folder or an
 * object store can take its place.
 */
export interface Storage {
  /** A key is written once. */
  readonly put: (key: string, bytes: Uint8Array) => Promise<void>;
  readonly get: (key: string) => Promise<Uint8Array | null>;
  readonly remove: (key: string) => Promise<void>;
}

export function storageOf({ db, studio }: Asking): Storage {
  return {
    put: (key, bytes) => insertFile(db, studio.id, key, bytes),
    get: (key) => findFile(db, studio.id, key),
    remove: (key) => deleteFile(db, studio.id, key),
  };
}
