import type { APIRoute } from 'astro';
import { openDatabase } from '@/db/database';
import { answers } from '@/db/queries/studios';
import { RETRY_AFTER_SECONDS } from '@/server/refusal';

const ANSWERS_WITHIN_MILLISECONDS = 2_000;

/** Whether requests can be served, the database answering: 200 or 503. */
export const GET: APIRoute = async () => {
  const database = await answers(openDatabase(), ANSWERS_WITHIN_MILLISECONDS);
  return database
    ? Response.json({ ok: true, database })
    : Response.json({ ok: false, database }, { status: 503, headers: { 'retry-after': RETRY_AFTER_SECONDS } });
};
