import { lazy } from 'react';

/*
 * What is opened from the desk is no part of its first load. It is fetched as soon as the desk is drawn, so that it
 * opens at once, and with the server away.
 */

const loadPrompter = () => import('../prompter/Prompter');
const loadPublish = () => import('../publish/PublishDialog');
const loadFit = () => import('./FitDialog');
const loadLengths = () => import('./lengths/LengthsView');
const loadWords = () => import('./words/WordsDialog');

export const Prompter = lazy(() => loadPrompter().then((part) => ({ default: part.Prompter })));
export const PublishDialog = lazy(() => loadPublish().then((part) => ({ default: part.PublishDialog })));
export const FitDialog = lazy(() => loadFit().then((part) => ({ default: part.FitDialog })));
export const LengthsView = lazy(() => loadLengths().then((part) => ({ default: part.LengthsView })));
export const WordsDialog = lazy(() => loadWords().then((part) => ({ default: part.WordsDialog })));

/** Fetches all of them; one that does not come is asked for again when it is opened. */
export function fetchOpenedLater(): void {
  for (const load of [loadPrompter, loadFit, loadPublish, loadWords, loadLengths]) load().catch(() => undefined);
}
