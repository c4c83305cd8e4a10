import { mixed } from 'yup';
import { shape, boolean } from '@/core/document';
import type { Movement, MovementSummary } from '@/core/movement';
import { saveBaseFields } from './saves';

/** The body of `POST /api/movements`. The movement is judged by its own door. */
export const newMovementSchema = shape({ movement: mixed().defined('missing') });

/** The body of `PUT /api/movements/:id`. */
export const saveMovementSchema = shape({ ...saveBaseFields, movement: mixed().defined('missing') });

/** The body of `PUT /api/movements/:id/archived`. */
export const archiveMovementSchema = shape({ archived: boolean() });

export interface LibraryEntry {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly summary: MovementSummary;
  /** Its picture or clip; left out where it is not known. */
  readonly media?: MovementMedia | null;
}

/** The picture or clip of a movement, and the version of it to ask for. */
export interface MovementMedia {
  readonly contentType: string;
  readonly version: string;
}

export const MEDIA_BYTES = 5 * 1024 * 1024;

/** Where the picture or clip of a movement is fetched. */
export function mediaPath(movementId: string, { version }: MovementMedia): string {
  return `/api/movements/${movementId}/media?v=${version}`;
}

export interface MovementResponse {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly movement: Movement;
}
