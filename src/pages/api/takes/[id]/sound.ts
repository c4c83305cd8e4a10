import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { soundOfTake } from '@/server/sounds';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params, request }) =>
  answer(async () => soundOfTake(await asking(), params.id ?? '', request.headers.get('range')));
