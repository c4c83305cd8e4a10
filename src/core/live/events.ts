import type { Command } from './commands';
import type { ShownClass } from './shown-class';
import type { Standing } from './standing';

/** One thing that happened in a live class. */
export type LiveEvent =
  | { readonly kind: 'standing'; readonly standing: Standing }
  /** What is left of the class was changed; from then on this is shown. */
  | { readonly kind: 'shown'; readonly shown: ShownClass }
  /** Somebody pressed on a phone that was paired. Followers are not told. */
  | { readonly kind: 'command'; readonly command: Command; readonly at: number };
