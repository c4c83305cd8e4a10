import type { APIRoute } from 'astro';
import { historyOf } from '@/server/history';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

/** The greatest number that a save can have. */
const LATEST = 2 ** 31 - 1;

export const GET: APIRoute = ({ params, url }) =>
  answer(async () => {
    const before = Number(url.searchParams.get('before'));
    const limit = Number.isInteger(before) && before > 0 && before <= LATEST ? before : LATEST;
    return historyOf(await asking(), params.id ?? '', limit);
  });
