import type { APIRoute } from 'astro';
import { restore } from '@/server/bin';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

/** Takes one thing out of the bin. */
export const POST: APIRoute = ({ params }) =>
  answer(async () => restore(await asking(), params.kind ?? '', params.id ?? ''));
