import { createElement } from 'react';
import { onDemand } from '@/ui/parts/on-demand';
import { loadFields } from './steps';

const KEYS = { takesKeys: true };

/** What the desk can show beside and over the timeline, each in a file of its own; the timeline comes first. */
export const Overview = onDemand(() => import('./timeline/Overview').then((its) => its.Overview));
/** Its place is kept free until it comes. */
export const AddStep = onDemand(() => import('./timeline/AddStep').then((its) => its.AddStep), {
  meanwhile: createElement('div', { className: 'no-print h-12' }),
});
export const Inspector = onDemand(() => import('./inspector/Inspector').then((its) => its.Inspector));
export const ChecksPanel = onDemand(() => import('./checks/ChecksPanel').then((its) => its.ChecksPanel));
export const FitDialog = onDemand(() => import('./fit/FitDialog').then((its) => its.FitDialog), KEYS);
export const WordsDialog = onDemand(() => import('./words/WordsDialog').then((its) => its.WordsDialog), KEYS);
export const LengthsView = onDemand(() => import('./lengths/LengthsView').then((its) => its.LengthsView));
export const Prompter = onDemand(() => import('../prompter/Prompter').then((its) => its.Prompter), KEYS);
export const PublishDialog = onDemand(() => import('../publish/PublishDialog').then((its) => its.PublishDialog), KEYS);

/** Fetches what the desk shows from the first on, while the class is still being drawn. */
export function loadTheFirst(): void {
  for (const part of [Inspector, Overview, AddStep]) void part.load();
}

/** Fetches all of it while nobody waits: each then opens at once, and without the server. */
export function loadTheRest(): void {
  void loadFields();
  for (const part of [ChecksPanel, Prompter, FitDialog, WordsDialog, LengthsView, PublishDialog]) void part.load();
}
