import type { APIRoute } from 'astro';
import { clockOf } from '@/server/live';
import { answer } from '@/server/refusal';

export const GET: APIRoute = ({ params }) => answer(async () => clockOf(params.code ?? ''));
