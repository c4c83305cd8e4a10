import type { Section, Step } from '@/core/plan';
import { namesPart } from '../line-kinds/headings';
import type { Counts } from '../model/model';
import { kindOfPart } from '../line-kinds/talks';

/* A part of a class while lines are put into it. */

export interface OpenPart {
  section: Section;
  steps: Step[];
  readonly counts: Counts;
  /** Whether the line is over in which it stood with its steps. */
  over?: true;
  /** Whether it is marked as a heading: then all is in it up to the next. */
  readonly marked?: boolean;
}

/** Whether a part is over, or told by its name and something is said in it already: a movement below it is in none. */
export function isOver(part: OpenPart | undefined): boolean {
  if (part?.over) return true;
  if (part?.marked) return false;
  if (part?.section.role !== 'welcome' || (part.steps.length === 0 && !part.counts.seconds)) return false;
  return kindOfPart(part.section.title) === 'talk' && part.steps.every(({ kind }) => kind === 'talk');
}

/** The name of a part with no step and no time in it, that may be a movement's; `null` for the usual parts of a class. */
export function nameOfEmpty(part: OpenPart | undefined): string | null {
  if (!part || part.steps.length > 0 || Object.keys(part.counts).length > 0) return null;
  const { title } = part.section;
  return title === '' || namesPart(title) || kindOfPart(title) !== 'movement' ? null : title;
}

/** What comes next is in none of the parts so far. */
export function endPart(part: OpenPart | undefined): void {
  if (part) part.over = true;
}
