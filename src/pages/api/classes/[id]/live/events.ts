import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { leadLive } from '@/server/live';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { leader, events } = await readBody(request, 'live-events');
    return leadLive(await asking(), params.id ?? '', leader, events);
  });
