import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { callRevision, openRevision } from '@/server/history';
import { answer, Refusal } from '@/server/refusal';
import { asking } from '@/server/studio';

function numberOf(revision: string | undefined): number {
  const found = Number(revision);
  if (!Number.isInteger(found) || found < 1 || found > 2 ** 31 - 1) throw new Refusal(404, 'no-revision');
  return found;
}

export const GET: APIRoute = ({ params }) =>
  answer(async () => openRevision(await asking(), params.id ?? '', numberOf(params.revision)));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { name } = await readBody(request, 'name-revision');
    return callRevision(await asking(), params.id ?? '', numberOf(params.revision), name);
  });
