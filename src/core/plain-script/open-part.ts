import type { Section, Step } from '@/core/plan';
import { namesPart } from './headings';
import type { Counts } from './model';
import { kindOfPart } from './talks';

/* A part of a class while lines are put into it. */

export interface OpenPart {
  section: Section;
  steps: Step[];
  readonly counts: Counts;
}

/** Whether a part is told by its name, and something is said in it already: a movement below it is in none. */
export function isWelcomed(part: OpenPart | undefined): boolean {
  if (part?.section.role !== 'welcome' || part.steps.length === 0) return false;
  return kindOfPart(part.section.title) === 'talk' && part.steps.every(({ kind }) => kind === 'talk');
}

/** The name of a part with no step and no time in it, that may be a movement's; `null` for the usual parts of a class. */
export function nameOfEmpty(part: OpenPart | undefined): string | null {
  if (!part || part.steps.length > 0 || Object.keys(part.counts).length > 0) return null;
  const { title } = part.section;
  return title === '' || namesPart(title) || kindOfPart(title) !== 'movement' ? null : title;
}
