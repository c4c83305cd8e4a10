import type { StepKind } from '@/core/plan';

/** What a step of a kind is called. */
export const STEP_KIND_WORDS: Readonly<Record<StepKind, string>> = {
  movement: 'movement',
  talk: 'talk',
  silence: 'silence',
  transition: 'transition',
};
