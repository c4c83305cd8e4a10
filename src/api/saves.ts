import { string } from 'yup';
import { list, whole } from '@/core/document';
import { UNANSWERED_AT_MOST } from './saved';

/** Ids in addresses and bodies. */
export const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** The greatest whole number that the database holds in a column of ours. */
const LARGEST_INTEGER = 2 ** 31 - 1;
export const uuid = () => string().strict().typeError('not-text').matches(UUID, 'bad-id');

/**
 * What a save builds on. `saveId` names the save: sent again under its name it is answered as it was the first time.
 * `unanswered` are saves of the same tab whose answers were lost; a document that one of them left is the tab's own.
 */
export const saveBaseFields = {
  baseRevision: whole(1, LARGEST_INTEGER - 1),
  saveId: uuid().optional(),
  unanswered: list(uuid().defined('missing'), UNANSWERED_AT_MOST).optional(),
};
