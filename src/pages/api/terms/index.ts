import type { APIRoute } from 'astro';
import { spellingSchema } from '@/api/terms';
import { answer, readBody } from '@/server/refusal';
import { asking } from '@/server/studio';
import { chooseSpelling, spelling } from '@/server/terms';

export const GET: APIRoute = () => answer(async () => spelling(await asking()));

export const PUT: APIRoute = ({ request }) =>
  answer(async () => chooseSpelling(await asking(), await readBody(request, spellingSchema)));
