/** What the charts of a take have in common: ink of the theme. */
export const AXIS = {
  stroke: 'var(--quiet-ink)',
  tick: { fill: 'var(--quiet-ink)', fontSize: 12 },
} as const;

export const GRID = { stroke: 'var(--color-base-300)' } as const;

export const TOOLTIP = {
  background: 'var(--color-base-100)',
  border: '1px solid var(--color-base-300)',
} as const;
