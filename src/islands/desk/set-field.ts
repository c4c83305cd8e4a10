import type { Json } from '@/core/document';

/** Sets a field of the chosen step; edits of one field in a row are undone as one. */
export type SetField = (field: string, value: Json) => void;
