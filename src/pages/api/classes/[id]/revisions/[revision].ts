import type { APIRoute } from 'astro';
import { openRevision } from '@/server/history';
import { answer, Refusal } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) =>
  answer(async () => {
    const revision = Number(params.revision);
    if (!Number.isInteger(revision) || revision < 1 || revision > 2 ** 31 - 1) throw new Refusal(404, 'no-revision');
    return openRevision(await asking(), params.id ?? '', revision);
  });
