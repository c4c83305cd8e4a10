import type { APIRoute } from 'astro';
import { answer } from '@/server/refusal';
import { piecesOf } from '@/server/sounds';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => piecesOf(await asking(), params.id ?? ''));
