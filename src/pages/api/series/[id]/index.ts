import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { dropSeries, saveSeries } from '@/server/series';
import { asking } from '@/server/studio';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { title, classIds, ...base } = await readBody(request, 'save-series');
    return saveSeries(await asking(), params.id ?? '', base, { title, classIds });
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => dropSeries(await asking(), params.id ?? '', true));
