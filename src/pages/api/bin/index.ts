import type { APIRoute } from 'astro';
import { clearBin, inBin } from '@/server/bin';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = () => answer(async () => inBin(await asking()));

/** Empties it for good. */
export const DELETE: APIRoute = () => answer(async () => clearBin(await asking()));
