export const FIT_WAYS = ['balanced', 'keep-rounds', 'keep-breath', 'skip-steps'] as const;
/** What a fit would rather keep; see `docs/pacing.md`. */
export type FitWay = (typeof FIT_WAYS)[number];
