import type { APIRoute } from 'astro';
import { saveSeriesSchema } from '@/api/series';
import { answer, readBody } from '@/server/refusal';
import { dropSeries, saveSeries } from '@/server/series';
import { asking } from '@/server/studio';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { title, classIds } = await readBody(request, saveSeriesSchema);
    return saveSeries(await asking(), params.id ?? '', title, classIds);
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => dropSeries(await asking(), params.id ?? ''));
