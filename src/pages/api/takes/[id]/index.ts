import type { APIRoute } from 'astro';
import { correctionsSchema } from '@/api/takes';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';
import { correctTake, dropTake, openTake } from '@/server/takes';

export const GET: APIRoute = ({ params }) => answer(async () => openTake(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { baseRevision, corrections, remarks = null, cuts = null } = await readBody(request, correctionsSchema);
    return correctTake(await asking(), params.id ?? '', baseRevision, { corrections, remarks, cuts });
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => dropTake(await asking(), params.id ?? ''));
