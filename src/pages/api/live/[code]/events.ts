import type { APIRoute } from 'astro';
import { followLive } from '@/server/live';
import { answer } from '@/server/refusal';

/** Server-sent events. A browser that comes back says by header what it has; `after` says it at first. */
export const GET: APIRoute = ({ params, request, url }) =>
  answer(async () =>
    followLive(params.code ?? '', request.headers.get('last-event-id') ?? url.searchParams.get('after')),
  );
