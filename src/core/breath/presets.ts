import type { PhaseKind, PhaseLength } from './pattern';

/** A phase of a ready-made pattern; `action` names what the belly does where that is the point of it. */
export interface PresetPhase extends PhaseLength {
  readonly action: string;
}

export interface PatternPreset {
  readonly id: PresetId;
  readonly phases: readonly PresetPhase[];
}

export const PRESET_IDS = [
  'one-breath',
  'even',
  'longer-out',
  'four-six',
  'hold-after-inhale',
  'slow-in-quick-out',
  'quick-in-slow-out',
  'four-breaths',
  'natural-belly',
  'reversed-belly',
  'own-breath',
] as const;
export type PresetId = (typeof PRESET_IDS)[number];

const phase = (kind: PhaseKind, part: Partial<PresetPhase> = {}): PresetPhase => ({
  kind,
  share: null,
  seconds: null,
  action: '',
  ...part,
});
const shares = (inward: number, outward: number): PresetPhase[] => [
  phase('inhale', { share: inward }),
  phase('exhale', { share: outward }),
];

/** Patterns of one round to start from. Common practice, no published source. */
export const PRESETS: readonly PatternPreset[] = [
  { id: 'one-breath', phases: [phase('inhale'), phase('exhale')] },
  { id: 'even', phases: shares(0.5, 0.5) },
  { id: 'longer-out', phases: shares(0.4, 0.6) },
  { id: 'four-six', phases: [phase('inhale', { seconds: 4 }), phase('exhale', { seconds: 6 })] },
  { id: 'hold-after-inhale', phases: [phase('inhale'), phase('hold', { seconds: 1.5 }), phase('exhale')] },
  { id: 'slow-in-quick-out', phases: shares(0.65, 0.35) },
  { id: 'quick-in-slow-out', phases: shares(0.35, 0.65) },
  {
    id: 'four-breaths',
    phases: [
      phase('inhale'),
      phase('exhale'),
      phase('inhale'),
      phase('exhale', { share: 0.9 }),
      phase('inhale'),
      phase('exhale'),
      phase('inhale'),
      phase('exhale'),
    ],
  },
  {
    id: 'natural-belly',
    phases: [phase('inhale', { action: 'belly widens' }), phase('exhale', { action: 'belly softens' })],
  },
  {
    id: 'reversed-belly',
    phases: [phase('inhale', { action: 'belly draws in' }), phase('exhale', { action: 'belly lets go' })],
  },
  { id: 'own-breath', phases: [phase('free', { seconds: 6 })] },
];
