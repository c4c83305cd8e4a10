import type { APIRoute } from 'astro';
import { newMovementSchema } from '@/api/movements';
import { addMovement, library } from '@/server/movements';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = () => answer(async () => library(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => addMovement(await asking(), (await readBody(request, newMovementSchema)).movement), 201);
