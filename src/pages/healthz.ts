import type { APIRoute } from 'astro';

/** Whether the application is alive, whatever its database does: 200. */
export const GET: APIRoute = () => Response.json({ ok: true });
