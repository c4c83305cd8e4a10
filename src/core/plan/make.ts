import type {
  Phase,
  ClassPlan,
  MovementStep,
  QuietStep,
  Section,
  SectionRole,
  Step,
  StepKind,
  TalkStep,
  TransitionStep,
} from './model';
import { PLAN_FORMAT, PLAN_VERSION } from './model';

/** Gives a new id each time it is called; the caller owns chance. */
export type NewId = () => string;

export const SECTION_TITLES: Readonly<Record<SectionRole, string>> = {
  welcome: 'Welcome',
  arrival: 'Arrival',
  loosening: 'Loosening',
  main: 'Main set',
  settling: 'Settling',
  closing: 'Closing',
};

/** A plan with nothing in it but one empty main section. */
export function emptyPlan(newId: NewId, title: string, targetSeconds: number, breathSeconds = 9): ClassPlan {
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    title,
    focus: '',
    audience: '',
    targetSeconds,
    pace: {
      breathSeconds,
      preferredBreathSeconds: breathSeconds,
      leastBreathSeconds: Math.max(2, Math.round(breathSeconds * 8) / 10),
      mostBreathSeconds: Math.min(40, Math.round(breathSeconds * 13) / 10),
      closingRatio: 1,
      inShare: 0.45,
      pinned: false,
    },
    voice: { syllablesPerMinute: 190, leadSeconds: 0.8 },
    sections: [makeSection(newId, 'main')],
  };
}

export function makeSection(newId: NewId, role: SectionRole, steps: readonly Step[] = []): Section {
  return { id: newId(), role, title: SECTION_TITLES[role], steps };
}

export function makePhase(newId: NewId, part: Partial<Omit<Phase, 'id'>> & Pick<Phase, 'kind'>): Phase {
  const breath = { in: 'In.', out: 'Out.', rest: '', free: '' }[part.kind];
  const share = part.kind === 'rest' || part.kind === 'free' ? 0.1 : null;
  return { id: newId(), share, seconds: null, action: '', full: breath, short: breath, breath, ...part };
}

/** A new step of a kind, with the commonest numbers (three rounds; common practice, no published source). */
export function makeStep(newId: NewId, kind: StepKind, name = ''): Step {
  if (kind === 'movement') return makeMovement(newId, name || 'New movement');
  if (kind === 'talk') return makeTalk(newId, name || 'Talk', ['']);
  if (kind === 'quiet') return makeQuiet(newId, name || 'Quiet', {});
  return makeTransition(newId, name || 'Change of stance', 5, '');
}

export function makeMovement(
  newId: NewId,
  name: string,
  part: Partial<Omit<MovementStep, 'kind' | 'id'>> = {},
): MovementStep {
  return {
    kind: 'movement',
    id: newId(),
    name,
    traditionalName: '',
    sides: 'none',
    startSide: 'left',
    pattern: [makePhase(newId, { kind: 'in' }), makePhase(newId, { kind: 'out' })],
    rounds: part.preferredRounds ?? 3,
    preferredRounds: 3,
    leastRounds: 2,
    mostRounds: 9,
    multiple: 1,
    pinned: false,
    paceMultiplier: 1,
    teach: [],
    fade: ['full', 'short', 'breath'],
    lastRoundLine: 'Last one.',
    sideChangeLine: 'And the other side.',
    sideChangeSeconds: 4,
    cautions: [],
    ...part,
  };
}

export function makeTalk(newId: NewId, name: string, texts: readonly (string | readonly [string, number])[]): TalkStep {
  return { kind: 'talk', id: newId(), name, lines: spokenLines(newId, texts) };
}

/** Spoken lines from texts, or from texts with the pause that follows (1.5 s when unset). */
export function spokenLines(newId: NewId, texts: readonly (string | readonly [string, number])[]): TalkStep['lines'] {
  return texts.map((entry) => {
    const [text, pauseSeconds] = typeof entry === 'string' ? [entry, 1.5] : entry;
    return { id: newId(), text, pauseSeconds };
  });
}

export function makeQuiet(newId: NewId, name: string, part: Partial<Omit<QuietStep, 'kind' | 'id'>>): QuietStep {
  const preferred = part.preferredSeconds ?? 40;
  return {
    kind: 'quiet',
    id: newId(),
    name,
    seconds: preferred,
    preferredSeconds: preferred,
    leastSeconds: Math.round(preferred / 2),
    mostSeconds: preferred * 2,
    pinned: false,
    eyesClosed: false,
    openingLine: '',
    callBackLine: '',
    ...part,
  };
}

export function makeTransition(newId: NewId, name: string, seconds: number, line: string): TransitionStep {
  return { kind: 'transition', id: newId(), name, seconds, line };
}

/** A copy of a step with new ids throughout. */
export function copyStep(newId: NewId, step: Step): Step {
  if (step.kind === 'movement') {
    return {
      ...step,
      id: newId(),
      pattern: step.pattern.map((phase) => ({ ...phase, id: newId() })),
      teach: step.teach.map((line) => ({ ...line, id: newId() })),
    };
  }
  if (step.kind === 'talk')
    return { ...step, id: newId(), lines: step.lines.map((line) => ({ ...line, id: newId() })) };
  return { ...step, id: newId() };
}

/** A copy of a section with new ids throughout. */
export function copySection(newId: NewId, section: Section): Section {
  return { ...section, id: newId(), steps: section.steps.map((step) => copyStep(newId, step)) };
}

/** A copy of a whole plan with new ids throughout. */
export function copyPlan(newId: NewId, plan: ClassPlan): ClassPlan {
  return { ...plan, sections: plan.sections.map((section) => copySection(newId, section)) };
}
