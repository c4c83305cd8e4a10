import { onDemand } from '@/ui/parts/on-demand';
import { loadFields } from './steps';

const KEYS = { takesKeys: true };

/** What the desk can show beside and over the timeline, each in a file of its own; the timeline comes first. */
export const Overview = onDemand(() => import('./timeline/Overview').then((its) => its.Overview));
export const Inspector = onDemand(() => import('./inspector/Inspector').then((its) => its.Inspector));
export const ChecksPanel = onDemand(() => import('./checks/ChecksPanel').then((its) => its.ChecksPanel));
export const FitDialog = onDemand(() => import('./fit/FitDialog').then((its) => its.FitDialog), KEYS);
export const WordsDialog = onDemand(() => import('./words/WordsDialog').then((its) => its.WordsDialog), KEYS);
export const LengthsView = onDemand(() => import('./lengths/LengthsView').then((its) => its.LengthsView));
export const Prompter = onDemand(() => import('../prompter/Prompter').then((its) => its.Prompter), KEYS);
export const PublishDialog = onDemand(() => import('../publish/PublishDialog').then((its) => its.PublishDialog), KEYS);

/** Fetches all of it while nobody waits: each then opens at once, and without the server. */
export function loadTheRest(): void {
  void loadFields();
  for (const part of [ChecksPanel, Prompter, FitDialog, WordsDialog, LengthsView, PublishDialog]) void part.load();
}
