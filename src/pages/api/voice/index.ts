import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { keepVoice, voices } from '@/server/voice';

export const GET: APIRoute = () => answer(async () => voices(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => keepVoice(await asking(), await readBody(request, 'voice')), 201);
