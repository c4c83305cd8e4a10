import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { openMovement, removeMovement, saveMovement } from '@/server/movements';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => openMovement(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { movement, ...base } = await readBody(request, 'save-movement');
    return saveMovement(await asking(), params.id ?? '', base, movement);
  });

export const DELETE: APIRoute = ({ params }) =>
  answer(async () => removeMovement(await asking(), params.id ?? '', true));
