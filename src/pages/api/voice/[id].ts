import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';
import { dropVoice } from '@/server/voice';

export const DELETE: APIRoute = ({ params }) => answer(async () => dropVoice(await asking(), params.id ?? ''));
