import { onDemand } from '@/ui/parts/on-demand';

/** Parts of the prompter that come when they are asked for. */
export const ShareLive = onDemand(async () => (await import('./ShareLive')).ShareLive, { takesKeys: true });
