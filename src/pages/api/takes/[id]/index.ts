import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { correctTake, dropTake, openTake } from '@/server/takes';

export const GET: APIRoute = ({ params }) => answer(async () => openTake(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { work, ...base } = await readBody(request, 'correct-take');
    return correctTake(await asking(), params.id ?? '', base, work);
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => dropTake(await asking(), params.id ?? '', true));
