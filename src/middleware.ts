import { defineMiddleware } from 'astro:middleware';
import { RETRY_AFTER_SECONDS } from '@/server/refusal';

/** Second screens, which a page of ours may lay over a picture; every other page stands alone. */
const LAID_OVER = /^\/(live|classes)\/[^/]+\/stage$/;
const POLICY = 'content-security-policy';

/** A page that cannot be shown for now says when to come again, as answers do. */
export const onRequest = defineMiddleware(async ({ url }, next) => {
  const response = await next();
  if (response.status === 503 && !response.headers.has('retry-after')) {
    response.headers.set('retry-after', RETRY_AFTER_SECONDS);
  }
  const policy = response.headers.get(POLICY);
  if (policy !== null && LAID_OVER.test(url.pathname)) {
    response.headers.set(POLICY, policy.replace("frame-ancestors 'none'", "frame-ancestors 'self'"));
    response.headers.set('x-frame-options', 'SAMEORIGIN');
  }
  return response;
});
