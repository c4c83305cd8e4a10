import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { addSeries, listedSeries } from '@/server/series';
import { asking } from '@/server/studio';

export const GET: APIRoute = () => answer(async () => listedSeries(await asking()));

export const POST: APIRoute = ({ request }) =>
  answer(async () => addSeries(await asking(), (await readBody(request, 'new-series')).title), 201);
