import { array, object, string } from 'yup';
import { LIMITS } from '@/core/plan';
import { UUID } from './classes';

/** Classes in one series at most. */
export const SERIES_CLASSES_AT_MOST = 500;

const title = string().strict().trim().min(1).max(LIMITS.titleCharacters).required();

/** The body of `POST /api/series`. */
export const newSeriesSchema = object({ title }).noUnknown();

/** The body of `PUT /api/series/:id`: its title and its classes in order. */
export const saveSeriesSchema = object({
  title,
  classIds: array().of(string().strict().matches(UUID).required()).max(SERIES_CLASSES_AT_MOST).required(),
}).noUnknown();

export interface ShelfSeries {
  readonly id: string;
  readonly title: string;
}
