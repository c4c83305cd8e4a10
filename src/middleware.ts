import { defineMiddleware } from 'astro:middleware';
import { RETRY_AFTER_SECONDS } from '@/server/refusal';

/** A page that cannot be shown for now says when to come again, as answers do. */
export const onRequest = defineMiddleware(async (_, next) => {
  const response = await next();
  if (response.status === 503 && !response.headers.has('retry-after')) {
    response.headers.set('retry-after', RETRY_AFTER_SECONDS);
  }
  return response;
});
