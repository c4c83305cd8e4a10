import type { APIRoute } from 'astro';
import { find } from '@/server/find';
import { answer } from '@/server/refusal';
import { asking } from '@/server/studio';

export const GET: APIRoute = ({ url }) => answer(async () => find(await asking(), url.searchParams.get('words') ?? ''));
