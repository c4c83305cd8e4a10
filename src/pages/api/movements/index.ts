import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { addMovement, library } from '@/server/movements';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = () => answer(async () => library(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => addMovement(await asking(), await readBody(request, 'new-movement')), 201);
