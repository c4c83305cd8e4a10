import { onDemand } from '@/ui/parts/on-demand';

/** The views of a take that are not its lines, each in a file of its own: the charts are the largest part of a page. */
export const Cuts = onDemand(() => import('./cuts/Cuts').then((its) => its.Cuts));
export const Learn = onDemand(() => import('./learn/Learn').then((its) => its.Learn));
export const TakeReport = onDemand(() => import('./report/TakeReport').then((its) => its.TakeReport));
export const PublishDialog = onDemand(() => import('../publish/PublishDialog').then((its) => its.PublishDialog), {
  takesKeys: true,
});

/** Fetches all of it while nobody waits. */
export function loadTheRest(): void {
  for (const part of [Cuts, TakeReport, Learn, PublishDialog]) void part.load();
}
