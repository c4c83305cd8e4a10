import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { chooseSpelling, spelling } from '@/server/terms';

export const GET: APIRoute = () => answer(async () => spelling(await asking()));

export const PUT: APIRoute = ({ request }) =>
  answer(async () => {
    const { chosen, own, ...base } = await readBody(request, 'spelling');
    return chooseSpelling(await asking(), base, { chosen, own });
  });
