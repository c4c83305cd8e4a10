/** What the breath does, as it is shown while it does; nothing where words lead. */
export const BREATH_WORDS = {
  inhale: 'Inhale',
  exhale: 'Exhale',
  hold: 'Hold',
  free: 'Own breath',
  spoken: '',
} as const;
