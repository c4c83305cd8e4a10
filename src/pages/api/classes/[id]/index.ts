import type { APIRoute } from 'astro';
import { saveClassSchema } from '@/api/classes';
import { openClass, saveClass, shelve } from '@/server/classes';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => openClass(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { baseRevision, plan } = await readBody(request, saveClassSchema);
    return saveClass(await asking(), params.id ?? '', baseRevision, plan);
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => shelve(await asking(), params.id ?? '', true));
