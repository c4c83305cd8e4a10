import { phaseSeconds } from '@/core/breath';
import type { Form, Phase, SpokenLine } from '@/core/movement';
import {
  lineMilliseconds,
  movementRoundMilliseconds,
  ownMilliseconds,
  quietMilliseconds,
  roundsOf,
  sideChangeMilliseconds,
  sidesInTurn,
  stepPaces,
  transitionMilliseconds,
  type ClassPlan,
  type MovementStep,
  type QuietStep,
  type Step,
  type StepPace,
  type TransitionStep,
} from '@/core/plan';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import type { Cue, CueSource, Side, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
import { fillTokens } from './tokens';

/** The words for a side, as said. */
const SIDE_WORDS: Readonly<Record<Side, string>> = {
  left: 'left',
  right: 'right',
  'one-way': 'one way',
  'other-way': 'other way',
};

/**
 * Expands a plan to its timeline. Counts in whole milliseconds, so that the runtime is the exact sum of its parts.
 * A cue starts before its motion by the plan's lead, but never before the class begins nor before the spoken line
 * ahead of it has ended.
 */
export function expandPlan(plan: ClassPlan): Timeline {
  const writer = new Writer(plan);
  const sections: TimedSection[] = [];
  for (const section of plan.sections) {
    const start = writer.now;
    for (const step of section.steps) writer.step(step, section.id);
    sections.push({ section: section.id, startSeconds: toSeconds(start), endSeconds: toSeconds(writer.now) });
  }
  return {
    runtimeSeconds: toSeconds(writer.now),
    targetSeconds: plan.targetSeconds,
    sections,
    steps: writer.steps,
    phases: writer.phases,
    cues: writer.cues,
  };
}

/** The sides of a movement in the order it uses them. */
function sidesOf(step: MovementStep): readonly (Side | null)[] {
  if (step.sides === 'none') return [null];
  if (step.sides === 'each-way') return ['one-way', 'other-way'];
  return step.startSide === 'left' ? ['left', 'right'] : ['right', 'left'];
}

const NO_PACE: StepPace = { multiplier: 0, inShare: 0.5 };

interface Turn {
  readonly round: number;
  readonly side: Side | null;
  readonly other: Side | null;
  /** Whether the last round is announced with this turn. */
  readonly last: boolean;
  /** Whether the sides change just before it. */
  readonly changes: boolean;
}

/** Every round in the order it is performed, `rounds` on each side. */
function turnsOf(step: MovementStep, rounds: number): Turn[] {
  const sides = sidesOf(step);
  const turns: Turn[] = [];
  const turn = (round: number, at: number, last: boolean, changes: boolean): void => {
    turns.push({ round, side: sides[at], other: sides[1 - at] ?? null, last, changes });
  };
  if (step.sides === 'alternate') {
    for (let round = 1; round <= rounds; round++) {
      turn(round, 0, round === rounds, false);
      turn(round, 1, false, false);
    }
    return turns;
  }
  sides.forEach((_, at) => {
    for (let round = 1; round <= rounds; round++) turn(round, at, round === rounds, at === 1 && round === 1);
  });
  return turns;
}

/** A timeline being written; lives for one expansion. */
class Writer {
  now: Milliseconds = 0;
  readonly steps: TimedStep[] = [];
  readonly phases: TimedPhase[] = [];
  readonly cues: Cue[] = [];
  private spokenUntil: Milliseconds = 0;
  private readonly paces: ReadonlyMap<string, StepPace>;
  private readonly lead: Milliseconds;

  constructor(private readonly plan: ClassPlan) {
    this.paces = stepPaces(plan);
    this.lead = toMilliseconds(plan.voice.leadSeconds);
  }

  step(step: Step, section: string): void {
    const start = this.now;
    const phaseStart = this.phases.length;
    const cueStart = this.cues.length;
    const pace = this.paceOf(step);
    const rounds = step.kind === 'movement' ? roundsOf(step, pace, this.plan.pace.breathSeconds) : 0;
    let teach: Milliseconds = 0;
    if (step.leftOut) teach = 0;
    else if (step.kind === 'movement') teach = this.movement(step, pace, rounds);
    else if (step.kind === 'talk') this.spokenLines(step.id, step.lines, 'line', step.tempo);
    else if (step.kind === 'quiet') this.quiet(step);
    else this.transition(step);
    const counted = step.kind === 'movement' && step.lead !== 'own';
    this.steps.push({
      step: step.id,
      section,
      startSeconds: toSeconds(start),
      endSeconds: toSeconds(this.now),
      teachSeconds: toSeconds(teach),
      rounds: counted ? rounds : 0,
      roundSeconds: counted ? toSeconds(this.roundLength(step, pace) * (step.sides === 'alternate' ? 2 : 1)) : 0,
      breathSeconds: this.plan.pace.breathSeconds * pace.multiplier,
      inShare: pace.inShare,
      phaseRange: [phaseStart, this.phases.length],
      cueRange: [cueStart, this.cues.length],
    });
  }

  private paceOf(step: Step): StepPace {
    return this.paces.get(step.id) ?? NO_PACE;
  }

  private movement(step: MovementStep, pace: StepPace, rounds: number): Milliseconds {
    const begun = this.now;
    this.spokenLines(step.id, step.teach, 'teach', 1);
    const teach = this.now - begun;
    if (step.lead === 'own') this.ownPace(step);
    else {
      for (const turn of turnsOf(step, rounds)) {
        if (turn.changes) this.sideChange(step, turn, rounds);
        this.round(step, turn, pace, rounds);
      }
    }
    return teach;
  }

  /** A movement at everybody's own pace: free time, in two stretches where the sides are taken in turn. */
  private ownPace(step: MovementStep): void {
    const sides = sidesOf(step);
    const stretches = sidesInTurn(step);
    const whole = ownMilliseconds(step, this.plan.voice);
    const said = lineMilliseconds(step.lastRoundLine, this.plan.voice);
    for (let at = 0; at < stretches; at++) {
      const side = stretches === 2 ? sides[at] : null;
      const turn: Turn = { round: 1, side, other: sides[1 - at] ?? null, last: true, changes: at === 1 };
      if (at === 1) this.sideChange(step, turn, 1);
      const from = this.now;
      const to = from + Math.floor((whole + at) / stretches);
      const [action] = step.pattern;
      this.phase({ step: step.id, round: 1, side, kind: 'free', action: action?.action ?? '' }, from, to);
      this.now = to;
      if (said === 0) continue;
      const text = this.filled(step.lastRoundLine, step, turn, 1);
      const id = `${step.id}.${side ?? 'both'}.call`;
      const start = Math.max(from, to - said);
      this.cue({ id, step: step.id, text, round: 1, side, source: { part: 'lastRoundLine' } }, start, start, to, true);
    }
  }

  private roundLength(step: MovementStep, pace: StepPace): Milliseconds {
    return movementRoundMilliseconds(step, pace, this.plan.pace.breathSeconds);
  }

  private round(step: MovementStep, turn: Turn, stepPace: StepPace, rounds: number): void {
    const start = this.now;
    const length = this.roundLength(step, stepPace);
    const pace = {
      breathSeconds: this.plan.pace.breathSeconds * stepPace.multiplier,
      inShare: stepPace.inShare,
    };
    const form = step.fade[Math.min(turn.round, step.fade.length) - 1];
    let passed = 0;
    step.pattern.forEach((phase, index) => {
      const from = start + Math.round(passed * 1000);
      passed += phaseSeconds(phase, pace);
      const to = index === step.pattern.length - 1 ? start + length : start + Math.round(passed * 1000);
      this.phase(
        { step: step.id, round: turn.round, side: turn.side, kind: phase.kind, action: phase.action },
        from,
        to,
      );
      this.phaseCue(step, phase, turn, rounds, form, index, from, to);
    });
    this.now = start + length;
  }

  private phaseCue(
    step: MovementStep,
    phase: Phase,
    turn: Turn,
    rounds: number,
    form: Form,
    index: number,
    from: Milliseconds,
    to: Milliseconds,
  ): void {
    const words = form === 'silent' ? '' : phase[form];
    const announced = turn.last && index === 0 ? [step.lastRoundLine, words].filter(Boolean).join(' ') : words;
    const text = this.filled(announced, step, turn, rounds);
    if (text.trim() === '') return;
    const start = Math.max(0, this.spokenUntil, from - this.lead);
    const id = `${step.id}.${turn.side ?? 'both'}.${turn.round}.${index}`;
    const source: CueSource = { part: 'phase', phaseId: phase.id, form };
    this.cue(
      { id, step: step.id, text, round: turn.round, side: turn.side, source },
      start,
      from,
      Math.max(from, to - this.lead),
    );
  }

  private sideChange(step: MovementStep, turn: Turn, rounds: number): void {
    const length = sideChangeMilliseconds(step, this.plan.voice);
    if (length === 0) return;
    const from = this.now;
    this.spoken(step.id, length, 'change sides');
    const text = this.filled(step.sideChangeLine, step, turn, rounds);
    if (text.trim() === '') return;
    this.cue(
      { id: `${step.id}.change`, step: step.id, text, round: 0, side: turn.side, source: { part: 'sideChangeLine' } },
      from,
      from,
      from + length,
      true,
    );
  }

  private filled(text: string, step: MovementStep, turn: Turn, rounds: number): string {
    return fillTokens(text, {
      movement: step.name,
      side: turn.side ? SIDE_WORDS[turn.side] : '',
      otherSide: turn.other ? SIDE_WORDS[turn.other] : '',
      round: turn.round,
      rounds,
    });
  }

  /** Lines one after the other; their borders are rounded from the start, so that the whole is exact at any tempo. */
  private spokenLines(stepId: string, lines: readonly SpokenLine[], part: 'teach' | 'line', tempo: number): void {
    const begun = this.now;
    let plain = 0;
    for (const line of lines) {
      const said = lineMilliseconds(line.text, this.plan.voice);
      plain += said + toMilliseconds(line.pauseSeconds);
      const from = this.now;
      const length = begun + Math.round(plain * tempo) - from;
      if (length > 0) this.spoken(stepId, length, '');
      if (said === 0) continue;
      const source: CueSource = { part, lineId: line.id };
      this.cue(
        { id: `${stepId}.${line.id}`, step: stepId, text: line.text, round: 0, side: null, source },
        from,
        from,
        from + length,
        true,
        tempo,
      );
    }
  }

  private quiet(step: QuietStep): void {
    const { voice } = this.plan;
    const from = this.now;
    const length = quietMilliseconds(step, voice);
    this.phase({ step: step.id, round: 0, side: null, kind: 'free', action: '' }, from, from + length);
    this.now += length;
    const line = (part: 'openingLine' | 'callBackLine', start: Milliseconds, due: Milliseconds): void => {
      if (lineMilliseconds(step[part], voice) === 0) return;
      const id = `${step.id}.${part}`;
      this.cue(
        { id, step: step.id, text: step[part], round: 0, side: null, source: { part } },
        start,
        start,
        due,
        true,
      );
    };
    const callBack = from + length - lineMilliseconds(step.callBackLine, voice);
    line('openingLine', from, callBack);
    line('callBackLine', callBack, from + length);
  }

  private transition(step: TransitionStep): void {
    const from = this.now;
    const length = transitionMilliseconds(step, this.plan.voice);
    if (length > 0) this.spoken(step.id, length, step.name);
    if (lineMilliseconds(step.line, this.plan.voice) === 0) return;
    const source: CueSource = { part: 'transitionLine' };
    this.cue(
      { id: `${step.id}.line`, step: step.id, text: step.line, round: 0, side: null, source },
      from,
      from,
      from + length,
      true,
    );
  }

  private spoken(step: string, length: Milliseconds, action: string): void {
    this.phase({ step, round: 0, side: null, kind: 'spoken', action }, this.now, this.now + length);
    this.now += length;
  }

  // Fields are written out one by one: spreading an object here took ten times as long.
  private phase(what: Omit<TimedPhase, 'startSeconds' | 'endSeconds'>, from: Milliseconds, to: Milliseconds): void {
    const { step, round, side, kind, action } = what;
    this.phases.push({ step, round, side, kind, action, startSeconds: toSeconds(from), endSeconds: toSeconds(to) });
  }

  private cue(
    what: Pick<Cue, 'id' | 'step' | 'text' | 'round' | 'side' | 'source'>,
    start: Milliseconds,
    motion: Milliseconds,
    due: Milliseconds,
    holdsNext = false,
    tempo = 1,
  ): void {
    const end = start + Math.max(1, Math.round(lineMilliseconds(what.text, this.plan.voice) * tempo));
    if (holdsNext) this.spokenUntil = end;
    this.cues.push({
      id: what.id,
      step: what.step,
      text: what.text,
      round: what.round,
      side: what.side,
      source: what.source,
      startSeconds: toSeconds(start),
      endSeconds: toSeconds(end),
      motionSeconds: toSeconds(motion),
      dueSeconds: toSeconds(due),
    });
  }
}
