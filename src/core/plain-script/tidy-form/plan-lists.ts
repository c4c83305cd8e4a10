import { firstItems, itemAt } from '@/core/units';
import { checkSince6, stepsInOrder, type ClassPlan, type Dismissed } from '@/core/plan';
import type { Theme } from '@/core/words';
import { escapeText, splitBars, unescapeText } from '@/core/document';

/** A theme as a line: its name, whether it is in use, then plain and themed words in turn. */
export function themeText(plan: ClassPlan, theme: Theme): string {
  const words = theme.words.flatMap(({ plain, themed }) => [escapeText(plain), escapeText(themed)]);
  return [escapeText(theme.name), theme.id === plan.themeId ? 'in use' : 'kept', ...words].join(' | ');
}

/** Reads it again; `null` when it is none. */
export function themeOf(value: string, id: string): { readonly theme: Theme; readonly inUse: boolean } | null {
  const [name = '', state, ...rest] = splitBars(value);
  if (state === undefined || rest.length % 2 === 1) return null;
  const words: { plain: string; themed: string }[] = [];
  for (let at = 0; at < rest.length; at += 2) {
    words.push({ plain: unescapeText(itemAt(rest, at)), themed: unescapeText(itemAt(rest, at + 1)) });
  }
  return { theme: { id, name: unescapeText(name), words }, inUse: state === 'in use' };
}

/** A finding set aside as a line; a step goes by its number in the class, from 1. */
export function dismissedText(plan: ClassPlan, one: Dismissed): string {
  const at = stepsInOrder(plan).findIndex(({ step }) => step.id === one.stepId);
  const place = one.stepId === null || at < 0 ? 'class' : String(at + 1);
  return [one.check, place, one.detail, one.reason].map(escapeText).join(' | ');
}

/** Reads it again; `stepIds` are the class's steps in order. */
export function dismissedOf(value: string, stepIds: readonly string[]): Dismissed | null {
  const parts = splitBars(value).map(unescapeText);
  if (parts.length !== 4) return null;
  const [written, place, detail, reason] = firstItems(parts, 4);
  const check = checkSince6(written);
  if (place === 'class') return { check, stepId: null, detail, reason };
  const stepId = stepIds[Number(place) - 1];
  return stepId === undefined ? null : { check, stepId, detail, reason };
}
