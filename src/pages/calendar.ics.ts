import type { APIRoute } from 'astro';
import { liveCalendar } from '@/server/calendar';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ url }) =>
  answer(async () => {
    const text = await liveCalendar(await asking(), url.origin);
    return new Response(text, { headers: { 'content-type': 'text/calendar; charset=utf-8' } });
  });
