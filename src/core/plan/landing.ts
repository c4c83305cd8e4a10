import type { Seconds } from '@/core/units';

/** How far from its target a class may land where nothing is set: so many seconds, or so much of the target if that is more. */
const USUAL = { seconds: 2, share: 0.005 } as const;

/** How far from a target a class may land at a small cost, in seconds. Common practice, no published source. */
export function landingSecondsOf(plan: { readonly landingSeconds: Seconds | null }, targetSeconds: Seconds): Seconds {
  return plan.landingSeconds ?? Math.max(USUAL.seconds, USUAL.share * targetSeconds);
}
