import { shape, title } from '@/core/document';

export const STUDIO_NAME_CHARACTERS = 80;

/** The body of `PUT /api/studio`: the name as the page knew it, and as it is to be. */
export const studioSchema = shape({ was: title(STUDIO_NAME_CHARACTERS), name: title(STUDIO_NAME_CHARACTERS) });

/** What `GET /api/find` found. */
export interface Found {
  readonly classes: readonly { readonly id: string; readonly title: string; readonly runtimeSeconds: number }[];
  readonly movements: readonly { readonly id: string; readonly name: string }[];
}
