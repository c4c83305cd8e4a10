import type { APIRoute } from 'astro';
import { historyOf } from '@/server/history';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params, url }) =>
  answer(async () => {
    const before = Number(url.searchParams.get('before'));
    const limit = Number.isInteger(before) && before > 0 ? before : 2 ** 31 - 1;
    return historyOf(await asking(), params.id ?? '', limit);
  });
