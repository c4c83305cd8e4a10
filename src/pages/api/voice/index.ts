import type { APIRoute } from 'astro';
import { newVoiceSchema } from '@/api/voice';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';
import { keepVoice, voices } from '@/server/voice';

export const GET: APIRoute = () => answer(async () => voices(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => keepVoice(await asking(), await readBody(request, newVoiceSchema)), 201);
