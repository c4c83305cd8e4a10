import type { Json } from '@/core/document';
import type { MovementContent } from '@/core/movement';

/** Sets one field of a movement's content. */
export type SetContent = (field: keyof MovementContent, value: Json) => void;

/** A value of the content as it can stand in a document. */
export function asJson(value: unknown): Json {
  return value as Json;
}
