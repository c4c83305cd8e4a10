import type { MovementContent, Phase } from '@/core/movement';
import { formatClock } from '@/core/units';
import { BELLY_WORDS, BREATH_WAY_WORDS, COUNTING_WORDS, OUT_BREATH_WORDS } from './teaching-style';
import { CAUTION_WORDS, PACING_WORDS, PHASE_WORDS, PRIORITY_WORDS, SIDE_PLAN_WORDS, STANCE_WORDS } from './movement';

/** The value of one field of a movement, in words. */
export function valueWords(field: keyof MovementContent, of: MovementContent): string {
  const words = SPECIAL[field]?.(of);
  if (words !== undefined) return words === '' ? 'none' : words;
  const value = of[field];
  if (value === null) return 'the class’s';
  if (typeof value === 'number' || typeof value === 'string') return String(value) === '' ? 'none' : String(value);
  return Array.isArray(value) ? value.join(', ') || 'none' : '';
}

const stance = (value: MovementContent['stanceStart']): string => (value === null ? 'any stance' : STANCE_WORDS[value]);

const SPECIAL: Partial<Readonly<Record<keyof MovementContent, (of: MovementContent) => string>>> = {
  stanceStart: (of) => stance(of.stanceStart),
  stanceEnd: (of) => stance(of.stanceEnd),
  sides: (of) => SIDE_PLAN_WORDS[of.sides],
  pacedBy: (of) => PACING_WORDS[of.pacedBy],
  priority: (of) => PRIORITY_WORDS[of.priority],
  cautions: (of) => of.cautions.map((caution) => CAUTION_WORDS[caution].name).join(', '),
  levels: (of) => of.levels.map(({ name, note }) => (note === '' ? name : `${name}: ${note}`)).join(' '),
  moments: (of) => Object.values(of.moments).filter(Boolean).join(' '),
  shorts: (of) => Object.values(of.shorts).filter(Boolean).join(' '),
  counting: (of) => (of.counting === null ? 'the class’s' : COUNTING_WORDS[of.counting]),
  fadePins: (of) => of.fadePins.map((round) => `round ${round}`).join(', '),
  teach: (of) => of.teach.map((line) => line.text).join(' '),
  during: (of) => of.during.map((line) => line.text).join(' '),
  breathWay: (of) => (of.breathWay === null ? 'the class’s' : BREATH_WAY_WORDS[of.breathWay]),
  belly: (of) => (of.belly === null ? 'the class’s' : BELLY_WORDS[of.belly]),
  outBreath: (of) => (of.outBreath === null ? 'the class’s' : OUT_BREATH_WORDS[of.outBreath]),
  callBackLeadSeconds: (of) => `${of.callBackLeadSeconds} s`,
  pattern: (of) => of.pattern.map(phaseWords).join(' '),
  preferredSeconds: (of) => formatClock(of.preferredSeconds),
  minSeconds: (of) => formatClock(of.minSeconds),
  maxSeconds: (of) => formatClock(of.maxSeconds),
  paceMultiplier: (of) => `× ${of.paceMultiplier}`,
  inhaleShare: (of) => (of.inhaleShare === null ? 'the class’s' : `${Math.round(of.inhaleShare * 100)} %`),
  sideChangeSeconds: (of) => `${of.sideChangeSeconds} s`,
};

function phaseWords(phase: Phase): string {
  const own = phase.seconds !== null ? ` ${phase.seconds} s` : '';
  const share = phase.seconds === null && phase.share !== null ? ` ${Math.round(phase.share * 100)} %` : '';
  const length = own + share;
  return `${PHASE_WORDS[phase.kind]}${length}: ${phase.full || phase.action || 'no words'}`;
}
