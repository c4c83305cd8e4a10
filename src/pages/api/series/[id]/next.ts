import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { nextInSeries } from '@/server/series';
import { asking } from '@/server/studio';

export const POST: APIRoute = ({ params }) => answer(async () => nextInSeries(await asking(), params.id ?? ''), 201);
