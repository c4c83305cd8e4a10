import type { APIRoute } from 'astro';
import { archiveMovementSchema } from '@/api/movements';
import { archiveMovement } from '@/server/movements';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { archived } = await readBody(request, archiveMovementSchema);
    return archiveMovement(await asking(), params.id ?? '', archived);
  });
