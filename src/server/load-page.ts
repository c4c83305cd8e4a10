import { REFUSALS, type RefusalCode } from '@/messages/refusals';
import { log } from './log.mjs';
import { isDatabaseAway, Refusal } from './refusal';

export type PageLoad<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly status: number; readonly title: string; readonly detail: string };

/** Loads what a page shows, or the words to show instead when it is refused or the database is away. */
export async function loadPage<Value>(load: () => Promise<Value>): Promise<PageLoad<Value>> {
  const instead = (status: number, code: RefusalCode): PageLoad<Value> => ({ ok: false, status, ...REFUSALS[code] });
  try {
    return { ok: true, value: await load() };
  } catch (error) {
    if (error instanceof Refusal) return instead(error.status, error.code);
    if (isDatabaseAway(error)) return instead(503, 'database-away');
    log.error({ err: error }, 'a page could not be loaded');
    return instead(500, 'fault');
  }
}
