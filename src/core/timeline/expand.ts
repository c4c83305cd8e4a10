import type { PhaseKind } from '@/core/breath';
import {
  contractOf,
  performedIn,
  stepPaces,
  type ClassPlan,
  type Moment,
  type PlacedLine,
  type Step,
  type StepPace,
  type StepWriter,
  type Tempo,
} from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import type { TeachingStyle, Side } from '@/core/words';
import type { Cue, TimedPhase, TimedSection, TimedStep, Timeline } from './model';
import { Wording } from './wording';

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
    for (const { step } of performedIn(section)) writer.step(step, section.id);
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

const NO_PACE: StepPace = { multiplier: 0, inhaleShare: 0.5 };

/** A timeline being written, step by step; lives for one expansion. */
class Writer implements StepWriter {
  now: Milliseconds = 0;
  spokenUntil: Milliseconds = 0;
  tempo: Tempo;
  readonly style: TeachingStyle;
  readonly steps: TimedStep[] = [];
  readonly phases: TimedPhase[] = [];
  readonly cues: Cue[] = [];
  /** The step that is being written. */
  private at: Step | null = null;
  private readonly paces: ReadonlyMap<string, StepPace>;
  private readonly wording: Wording;

  constructor(private readonly plan: ClassPlan) {
    this.paces = stepPaces(plan);
    this.tempo = { voice: plan.voice, breathSeconds: plan.pace.breathSeconds, pace: NO_PACE };
    this.style = plan.style;
    this.wording = new Wording(plan);
  }

  step(step: Step, section: string): void {
    const start = this.now;
    const phaseStart = this.phases.length;
    const cueStart = this.cues.length;
    const pace = this.paces.get(step.id) ?? NO_PACE;
    this.tempo = { ...this.tempo, pace };
    this.at = step;
    const contract = contractOf(step);
    const counted = contract.counted(step, this.tempo);
    const teach = step.skipped ? 0 : contract.write(step, this, counted);
    this.steps.push({
      step: step.id,
      section,
      startSeconds: toSeconds(start),
      endSeconds: toSeconds(this.now),
      teachSeconds: toSeconds(teach),
      rounds: counted?.rounds ?? 0,
      roundSeconds: counted ? toSeconds(counted.roundMilliseconds) : 0,
      breathSeconds: this.plan.pace.breathSeconds * pace.multiplier,
      inhaleShare: pace.inhaleShare,
      phaseRange: [phaseStart, this.phases.length],
      cueRange: [cueStart, this.cues.length],
    });
  }

  spoken(length: Milliseconds, action: string): void {
    this.push('spoken', 0, null, action, this.now, this.now + length);
    this.now += length;
  }

  phase(kind: PhaseKind, round: number, side: Side | null, action: string, from: Milliseconds, to: Milliseconds): void {
    this.push(kind, round, side, action, from, to);
  }

  until(time: Milliseconds): void {
    this.now = time;
  }

  filled(text: string, moment: Moment): string {
    return this.at ? this.wording.filled(text, this.at, moment) : text;
  }

  line(line: PlacedLine): void {
    const step = this.at?.id ?? '';
    const length = toMilliseconds(speakingSeconds(line.text, this.plan.voice));
    const end = line.start + Math.max(1, Math.round(length * (line.tempo ?? 1)));
    if (line.holdsNext) this.spokenUntil = end;
    this.cues.push({
      id: `${step}.${line.name}`,
      step,
      text: line.text,
      round: line.round ?? 0,
      side: line.side ?? null,
      source: line.source,
      startSeconds: toSeconds(line.start),
      endSeconds: toSeconds(end),
      motionSeconds: toSeconds(line.motion),
      dueSeconds: toSeconds(line.due),
      announced: line.announced ?? '',
    });
  }

  // Fields are written out one by one: spreading an object here took ten times as long.
  private push(
    kind: PhaseKind | 'spoken',
    round: number,
    side: Side | null,
    action: string,
    from: Milliseconds,
    to: Milliseconds,
  ): void {
    const step = this.at?.id ?? '';
    this.phases.push({ step, round, side, kind, action, startSeconds: toSeconds(from), endSeconds: toSeconds(to) });
  }
}
