import type { APIRoute } from 'astro';
import { shelve } from '@/server/classes';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const POST: APIRoute = ({ params }) => answer(async () => shelve(await asking(), params.id ?? '', false));
