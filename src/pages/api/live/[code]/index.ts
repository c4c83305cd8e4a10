import type { APIRoute } from 'astro';
import { openLive } from '@/server/live';
import { answer } from '@/server/refusal';

export const GET: APIRoute = ({ params }) => answer(async () => openLive(params.code ?? ''));
