import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { listingOf, saveListing } from '@/server/classes';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => listingOf(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { was, next } = await readBody(request, 'class-listing');
    return saveListing(await asking(), params.id ?? '', was, next);
  });
