import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { classJson, saveClass, binClass } from '@/server/classes';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) =>
  answer(async () => {
    const json = await classJson(await asking(), params.id ?? '');
    return new Response(json, { headers: { 'content-type': 'application/json' } });
  });

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => {
    const { plan, ...base } = await readBody(request, 'save-class');
    return saveClass(await asking(), params.id ?? '', base, plan);
  });

export const DELETE: APIRoute = ({ params }) => answer(async () => binClass(await asking(), params.id ?? '', true));
