import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { archiveMovement } from '@/server/movements';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { archived } = await readBody(request, 'archive-movement');
    return archiveMovement(await asking(), params.id ?? '', archived);
  });
