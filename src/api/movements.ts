import { boolean, mixed, number, object } from 'yup';
import type { Movement, MovementSummary } from '@/core/movement';

/** The body of `POST /api/movements`. The movement is judged by its own door. */
export const newMovementSchema = object({ movement: mixed().required() }).noUnknown();

/** The body of `PUT /api/movements/:id`. */
export const saveMovementSchema = object({
  baseRevision: number().strict().integer().min(1).required(),
  movement: mixed().required(),
}).noUnknown();

/** The body of `PUT /api/movements/:id/archived`. */
export const archiveMovementSchema = object({ archived: boolean().strict().required() }).noUnknown();

export interface LibraryEntry {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly summary: MovementSummary;
}

export interface MovementResponse {
  readonly id: string;
  readonly revision: number;
  readonly archived: boolean;
  readonly movement: Movement;
}

/** The answer to a stale save (409): what is stored now. */
export interface MovementConflict {
  readonly code: 'newer-revision';
  readonly current: MovementResponse;
}
