import { mixed, type InferType } from 'yup';
import { instant, list, oneOf, shape, text, title, within } from '@/core/document';
import { SECTION_ROLES } from '@/core/movement';
import { LIMITS, type ClassPlan } from '@/core/plan';
import { saveBaseFields, uuid } from './saves';

/** The body of `POST /api/classes`: a class from nothing, a copy of another, a template, or a plan file. */
export const newClassSchema = shape({
  from: oneOf(['nothing', 'class', 'plan', 'template'] as const),
  title: title(LIMITS.titleCharacters).optional(),
  targetSeconds: within(LIMITS.targetSeconds).optional(),
  breathSeconds: within(LIMITS.breathSeconds).optional(),
  /** Sections to begin with, in order, where it begins from nothing. */
  sections: list(oneOf(SECTION_ROLES), SECTION_ROLES.length, 1).optional(),
  classId: uuid().optional(),
  templateId: text(40).optional(),
  plan: mixed().optional(),
});
export type NewClassRequest = InferType<typeof newClassSchema>;

/** The body of `PUT /api/classes/:id`. The plan is judged by the plan's own door. */
export const saveClassSchema = shape({ ...saveBaseFields, plan: mixed().defined('missing') });

export interface ClassResponse {
  readonly id: string;
  readonly revision: number;
  readonly plan: ClassPlan;
}

/** Tags of a class, and live dates, at most. */
export const LISTING_LIMITS = { tags: 12, tagCharacters: 40, liveDates: 100 } as const;

const listingFields = () => ({
  tags: list(title(LISTING_LIMITS.tagCharacters), LISTING_LIMITS.tags),
  liveDates: list(instant(), LISTING_LIMITS.liveDates),
});

/** The body of `PUT /api/classes/:id/listing`: tags and live dates as the page knew them, and as they are to be. */
export const listingSchema = shape({ was: shape(listingFields()), next: shape(listingFields()) });

/** What is kept of a class beside its script. */
export interface Listing {
  readonly tags: readonly string[];
  /** ISO 8601, in order. */
  readonly liveDates: readonly string[];
}

/** A class in the list. */
export interface ListedClass {
  readonly id: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly runtimeSeconds: number;
  readonly takes: number;
  /** How far the latest take ended from its plan. */
  readonly lastOffSeconds: number | null;
  /** Focus and audience. */
  readonly about: string;
  /** Its small drawing; see `unpackShape`. */
  readonly shape: string;
  readonly tags: readonly string[];
  /** The next time it is given live, ISO 8601. */
  readonly nextLive: string | null;
  /** The series it stands in and its place there, from 1. */
  readonly seriesId: string | null;
  readonly seriesOrder: number | null;
  /** ISO 8601. */
  readonly updatedAt: string;
}

/** A part of the list of classes, in its order. */
export interface ClassesPage {
  readonly classes: readonly ListedClass[];
  /** Whether there are more after the last of them. */
  readonly more: boolean;
}
