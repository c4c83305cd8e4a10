import type { FieldAndValue } from '@/core/document';

/** Sets a field of a thing; edits of one field in a row are undone as one. */
export type SetField<Thing, Field extends keyof Thing = keyof Thing> = (...change: FieldAndValue<Thing, Field>) => void;

/** Sets a field of a step. */
export type SetStepField<Step> = SetField<Step, Exclude<keyof Step, 'id' | 'kind'>>;
