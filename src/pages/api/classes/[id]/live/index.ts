import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { endLive, startLive } from '@/server/live';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => startLive(await asking(), params.id ?? '', await readBody(request, 'start-live')), 201);

export const DELETE: APIRoute = ({ params }) => answer(async () => endLive(await asking(), params.id ?? ''));
