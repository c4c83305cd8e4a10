import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { endSound, keepSoundPiece } from '@/server/sounds';
import { asking } from '@/server/studio';

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => keepSoundPiece(await asking(), params.id ?? '', params.piece ?? '', request));

export const DELETE: APIRoute = ({ params }) =>
  answer(async () => endSound(await asking(), params.id ?? '', params.piece ?? ''));
