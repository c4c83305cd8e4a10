import type { APIRoute } from 'astro';
import { dropMovementMedia, movementMediaFile, setMovementMedia } from '@/server/media';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => movementMediaFile(await asking(), params.id ?? ''));

export const PUT: APIRoute = ({ params, request }) =>
  answer(async () => setMovementMedia(await asking(), params.id ?? '', request));

export const DELETE: APIRoute = ({ params }) => answer(async () => dropMovementMedia(await asking(), params.id ?? ''));
