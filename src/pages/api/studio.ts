import type { APIRoute } from 'astro';
import { readBody } from '@/server/body';
import { answer } from '@/server/refusal';
import { asking, nameStudio } from '@/server/studio';

export const PUT: APIRoute = ({ request }) =>
  answer(async () => {
    const { was, name } = await readBody(request, 'studio');
    return nameStudio(await asking(), was, name);
  });
