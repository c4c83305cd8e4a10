import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { addTake, takesOf } from '@/server/takes';

export const GET: APIRoute = ({ params }) => answer(async () => takesOf(await asking(), params.id ?? ''));

export const POST: APIRoute = ({ params, request }) =>
  answer(async () => addTake(await asking(), params.id ?? '', await readBody(request, 'new-take')), 201);
