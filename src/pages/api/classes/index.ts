import type { APIRoute } from 'astro';
import { newClassSchema } from '@/api/classes';
import { addClass, shelf } from '@/server/classes';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = () => answer(async () => shelf(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => addClass(await asking(), await readBody(request, newClassSchema)), 201);
