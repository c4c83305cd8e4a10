import type { FieldAndValue } from '@/core/document';
import type { MovementContent } from '@/core/movement';

/** Sets one field of a movement's content. */
export type SetContent = (...change: FieldAndValue<MovementContent>) => void;
