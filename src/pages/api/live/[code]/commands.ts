import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { pressLive } from '@/server/live';
import { answer } from '@/server/refusal';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => pressLive(params.code ?? '', await readBody(request, 'live-command')));
