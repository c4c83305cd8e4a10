import { phaseSeconds } from '@/core/breath';
import { formOn, type Form, type Phase } from '@/core/movement';
import {
  aroundLineMilliseconds,
  lineMilliseconds,
  linesAfter,
  linesBefore,
  movementRoundMilliseconds,
  ownMilliseconds,
  quietMilliseconds,
  roundsOf,
  sideChangeMilliseconds,
  sideChangeText,
  sidesInTurn,
  stepPaces,
  transitionMilliseconds,
  type AroundLine,
  type ClassPlan,
  type MovementStep,
  type QuietStep,
  type Step,
  type StepPace,
  type TalkStep,
  type TransitionStep,
} from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import { Wording } from './wording';
import type { Cue, CueSource, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
import { announcementOf, sidesOf, turnsOf, type Turn } from './turns';

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

const NO_PACE: StepPace = { multiplier: 0, inShare: 0.5 };

interface CueManner {
  /** The cue after it waits until it is said. */
  readonly holdsNext?: boolean;
  /** Time its words take over the voice's own. */
  readonly tempo?: number;
  readonly announced?: string;
}

const PLAIN: CueManner = {};
type QuietPart = 'openingLine' | 'reassuranceLine' | 'callBackLine';
/** From the last word of the call back to the end of a stretch at everybody's own pace; common practice, no published source. */
const OWN_PACE_CALL_BACK: Milliseconds = 8000;
/** Silence kept between the last reassurance and the call back. */
const REASSURANCE_GAP: Milliseconds = 5000;

/** A timeline being written; lives for one expansion. */
class Writer {
  now: Milliseconds = 0;
  readonly steps: TimedStep[] = [];
  readonly phases: TimedPhase[] = [];
  readonly cues: Cue[] = [];
  private spokenUntil: Milliseconds = 0;
  private readonly paces: ReadonlyMap<string, StepPace>;
  private readonly lead: Milliseconds;
  private readonly wording: Wording;

  constructor(private readonly plan: ClassPlan) {
    this.paces = stepPaces(plan);
    this.lead = toMilliseconds(plan.voice.leadSeconds);
    this.wording = new Wording(plan);
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
    else if (step.kind === 'talk') this.talk(step);
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
    for (const line of linesBefore(step)) this.aroundLine(step, line);
    const teach = this.now - begun;
    if (step.lead === 'own') this.ownPace(step);
    else {
      for (const turn of turnsOf(step, rounds)) {
        if (turn.changes) this.sideChange(step, turn, rounds);
        this.round(step, turn, pace, rounds);
      }
    }
    for (const line of linesAfter(step)) this.aroundLine(step, line);
    return teach;
  }

  /** A line before or after the rounds, with its silence. */
  private aroundLine(step: MovementStep, line: AroundLine): void {
    const length = aroundLineMilliseconds(line, this.plan.voice);
    if (length === 0) return;
    const from = this.now;
    this.spoken(step.id, length, '');
    if (lineMilliseconds(line.text, this.plan.voice) === 0) return;
    const text = this.wording.filled(line.text, step, { at: from, turn: null, rounds: 0, level: line.level });
    const source: CueSource = line.place;
    this.cue(
      { id: `${step.id}.${line.name}`, step: step.id, text, round: 0, side: null, source },
      from,
      from,
      from + length,
      { holdsNext: true },
    );
  }

  /** A movement at everybody's own pace: free time, in two stretches where the sides are taken in turn. */
  private ownPace(step: MovementStep): void {
    const sides = sidesOf(step);
    const stretches = sidesInTurn(step);
    const whole = ownMilliseconds(step, this.plan.voice);
    const said = lineMilliseconds(step.lastRoundLine, this.plan.voice);
    for (let at = 0; at < stretches; at++) {
      const side = stretches === 2 ? sides[at] : null;
      const turn: Turn = {
        round: 1,
        side,
        other: sides[1 - at] ?? null,
        begins: at === 0,
        counted: true,
        last: true,
        changes: at === 1,
      };
      if (at === 1) this.sideChange(step, turn, 1);
      const from = this.now;
      const to = from + Math.floor((whole + at) / stretches);
      const [action] = step.pattern;
      this.phase({ step: step.id, round: 1, side, kind: 'free', action: action?.action ?? '' }, from, to);
      this.now = to;
      if (said === 0) continue;
      // Called back with time to come back: not in the last instant, nor before half of the stretch has passed.
      const lead = Math.min(OWN_PACE_CALL_BACK, Math.max(0, Math.floor((to - from - said) / 2)));
      const start = Math.max(from, to - said - lead);
      const text = this.wording.filled(step.lastRoundLine, step, { at: start, turn, rounds: 1 });
      const id = `${step.id}.${side ?? 'both'}.call`;
      const source: CueSource = { part: 'lastRoundLine' };
      this.cue({ id, step: step.id, text, round: 1, side, source }, start, start, to, { holdsNext: true });
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
    const form = formOn(step.fade, turn.round);
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
    const moment = { at: from, turn, rounds, form, kind: phase.kind };
    const words = this.wording.filled(form === 'silent' ? '' : phase[form], step, moment);
    const announced =
      index === 0 ? this.wording.filled(announcementOf(step, this.plan.schools, turn, rounds, form), step, moment) : '';
    const text = announced === '' ? words : `${announced} ${words}`.trim();
    if (text.trim() === '') return;
    const lead = phase.leadSeconds === null ? this.lead : toMilliseconds(phase.leadSeconds);
    const start = Math.max(0, this.spokenUntil, from - lead);
    const id = `${step.id}.${turn.side ?? 'both'}.${turn.round}.${index}`;
    const source = { part: 'phase', phaseId: phase.id, form } as CueSource;
    this.cue(
      { id, step: step.id, text, round: turn.round, side: turn.side, source },
      start,
      from,
      Math.max(from, to - this.lead),
      { announced },
    );
  }

  private sideChange(step: MovementStep, turn: Turn, rounds: number): void {
    const length = sideChangeMilliseconds(step, this.plan.voice);
    if (length === 0) return;
    const from = this.now;
    this.spoken(step.id, length, 'change sides');
    const { text: line, place } = sideChangeText(step, this.plan.voice);
    const text = this.wording.filled(line, step, { at: from, turn, rounds });
    if (text.trim() === '') return;
    this.cue(
      { id: `${step.id}.change`, step: step.id, text, round: 0, side: turn.side, source: place },
      from,
      from,
      from + length,
      { holdsNext: true },
    );
  }

  /** Lines one after the other; their borders are rounded from the start, so that the whole is exact at any tempo. */
  private talk(step: TalkStep): void {
    const { tempo } = step;
    const begun = this.now;
    let plain = 0;
    for (const line of step.lines) {
      const said = lineMilliseconds(line.text, this.plan.voice);
      plain += said + toMilliseconds(line.pauseSeconds);
      const from = this.now;
      const length = begun + Math.round(plain * tempo) - from;
      if (length > 0) this.spoken(step.id, length, '');
      if (said === 0) continue;
      const source: CueSource = { part: 'line', lineId: line.id };
      const text = this.wording.filled(line.text, step, { at: from, turn: null, rounds: 0 });
      this.cue(
        { id: `${step.id}.${line.id}`, step: step.id, text, round: 0, side: null, source },
        from,
        from,
        from + length,
        { holdsNext: true, tempo },
      );
    }
  }

  private quiet(step: QuietStep): void {
    const { voice } = this.plan;
    const from = this.now;
    const length = quietMilliseconds(step, voice);
    this.phase({ step: step.id, round: 0, side: null, kind: 'free', action: '' }, from, from + length);
    this.now += length;
    const said = (text: string): Milliseconds => lineMilliseconds(text, voice);
    const line = (part: QuietPart, start: Milliseconds, due: Milliseconds, number = ''): void => {
      if (said(step[part]) === 0) return;
      const id = `${step.id}.${part}${number}`;
      const text = this.wording.filled(step[part], step, { at: start, turn: null, rounds: 0 });
      this.cue({ id, step: step.id, text, round: 0, side: null, source: { part } }, start, start, due, {
        holdsNext: true,
      });
    };
    const end = from + length;
    const callBackSaid = said(step.callBackLine);
    const callBack = callBackSaid === 0 ? end : end - callBackSaid - toMilliseconds(step.callBackLeadSeconds);
    line('openingLine', from, callBack);
    const every = toMilliseconds(step.reassuranceEverySeconds);
    const reassurance = said(step.reassuranceLine);
    if (reassurance > 0) {
      const begun = from + said(step.openingLine);
      for (let count = 1; begun + count * every + reassurance + REASSURANCE_GAP <= callBack; count++) {
        const start = begun + count * every;
        line('reassuranceLine', start, callBack, `.${count}`);
      }
    }
    line('callBackLine', callBack, end);
  }

  private transition(step: TransitionStep): void {
    const from = this.now;
    const length = transitionMilliseconds(step, this.plan.voice);
    if (length > 0) this.spoken(step.id, length, step.name);
    if (lineMilliseconds(step.line, this.plan.voice) === 0) return;
    const source: CueSource = { part: 'transitionLine' };
    const text = this.wording.filled(step.line, step, { at: from, turn: null, rounds: 0 });
    this.cue({ id: `${step.id}.line`, step: step.id, text, round: 0, side: null, source }, from, from, from + length, {
      holdsNext: true,
    });
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
    { holdsNext = false, tempo = 1, announced = '' }: CueManner = PLAIN,
  ): void {
    const length = toMilliseconds(speakingSeconds(what.text, this.plan.voice));
    const end = start + Math.max(1, Math.round(length * tempo));
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
      announced,
    });
  }
}
