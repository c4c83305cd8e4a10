import type { APIRoute } from 'astro';
import { learningOf } from '@/server/learning';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ params }) => answer(async () => learningOf(await asking(), params.id ?? ''));
