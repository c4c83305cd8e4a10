import type { APIRoute } from 'astro';
import { saveMovementSchema } from '@/api/movements';
import { openMovement, saveMovement } from '@/server/movements';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => openMovement(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { baseRevision, movement } = await readBody(request, saveMovementSchema);
    return saveMovement(await asking(), params.id ?? '', baseRevision, movement);
  });
