import { mixed, type InferType } from 'yup';
import { oneOf, shape, text, title, within } from '@/core/document';
import { LIMITS, type ClassPlan } from '@/core/plan';
import { saveBaseFields, uuid } from './saves';

/** The body of `POST /api/classes`: a class from nothing, a copy of another, a template, or a plan file. */
export const newClassSchema = shape({
  from: oneOf(['nothing', 'class', 'plan', 'template'] as const),
  title: title(LIMITS.titleCharacters).optional(),
  targetSeconds: within(LIMITS.targetSeconds).optional(),
  breathSeconds: within(LIMITS.breathSeconds).optional(),
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

/** The answer to a stale save (409): what is stored now. The sender has its own version. */
export interface ConflictResponse {
  readonly code: 'newer-revision';
  readonly current: { readonly revision: number; readonly plan: ClassPlan };
}

/** A class on the shelf. */
export interface ShelfClass {
  readonly id: string;
  readonly title: string;
  readonly targetSeconds: number;
  readonly runtimeSeconds: number;
  readonly takes: number;
  /** The series it stands in and its place there, from 1. */
  readonly seriesId: string | null;
  readonly seriesOrder: number | null;
  /** ISO 8601. */
  readonly updatedAt: string;
}

/** A part of the list of classes, in its order. */
export interface ClassesPage {
  readonly classes: readonly ShelfClass[];
  /** Whether there are more after the last of them. */
  readonly more: boolean;
}
