import { list, shape, title } from '@/core/document';
import { LIMITS } from '@/core/plan';
import { saveBaseFields, uuid } from './saves';

/** Classes in one series at most. */
export const SERIES_CLASSES_AT_MOST = 500;

/** The body of `POST /api/series`. */
export const newSeriesSchema = shape({ title: title(LIMITS.titleCharacters) });

/** The body of `PUT /api/series/:id`: its title and its classes in order. */
export const saveSeriesSchema = shape({
  ...saveBaseFields,
  title: title(LIMITS.titleCharacters),
  classIds: list(uuid().defined('missing'), SERIES_CLASSES_AT_MOST),
});

export interface ListedSeries {
  readonly id: string;
  readonly title: string;
  readonly revision: number;
}
