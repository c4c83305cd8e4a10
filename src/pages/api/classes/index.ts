import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { addClass, CLASSES_LATER, classList } from '@/server/classes';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

/** A part of the list, after the class named in `after`. */
export const GET: APIRoute = ({ url }) =>
  answer(async () => classList(await asking(), url.searchParams.get('after') ?? undefined, CLASSES_LATER));

export const POST: APIRoute = ({ request }) =>
  answer(async () => addClass(await asking(), await readBody(request, 'new-class')), 201);
