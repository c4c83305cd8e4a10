import { mixed, number, object, string, type InferType } from 'yup';
import { LIMITS, type ClassPlan } from '@/core/plan';

/** Ids in addresses and bodies. */
export const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** The body of `POST /api/classes`: a class from nothing, a copy of another, a template, or a plan file. */
export const newClassSchema = object({
  from: string().strict().oneOf(['nothing', 'class', 'plan', 'template']).required(),
  title: string().strict().max(LIMITS.titleCharacters),
  targetSeconds: number().strict().min(LIMITS.targetSeconds.least).max(LIMITS.targetSeconds.most),
  breathSeconds: number().strict().min(LIMITS.breathSeconds.least).max(LIMITS.breathSeconds.most),
  classId: string().strict().matches(UUID),
  templateId: string().strict().max(40),
  plan: mixed(),
}).noUnknown();
export type NewClassRequest = InferType<typeof newClassSchema>;

/** The body of `PUT /api/classes/:id`. The plan is judged by the plan's own door. */
export const saveClassSchema = object({
  baseRevision: number().strict().integer().min(1).required(),
  plan: mixed().required(),
}).noUnknown();

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
