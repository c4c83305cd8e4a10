import type { APIRoute } from 'astro';
import { openDatabase } from '@/db/database';
import { answers } from '@/db/queries/studios';

/** Whether the application and its database answer: 200 or 503. */
export const GET: APIRoute = async () => {
  const database = await answers(openDatabase());
  return Response.json({ ok: database, database }, { status: database ? 200 : 503 });
};
