import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { envelopeOf } from '@/server/takes';

export const GET: APIRoute = ({ params }) =>
  answer(async () => {
    const envelope = await envelopeOf(await asking(), params.id ?? '');
    return new Response(new Uint8Array(envelope), { headers: { 'content-type': 'application/octet-stream' } });
  });
