import type { NewId } from '@/core/document';
import { makeDuring } from '@/core/movement';
import { LIMITS, type PlanVoice, type SilenceStep } from '@/core/plan';
import { speakingSeconds } from '@/core/speech';
import type { Guided, Told } from './guidance';
import { cut, joined } from '../model/line-words';
import { isCue } from '../line-kinds/name-lines';

/** Of a silence as much may be filled by words that are not set under it. */
const FILLED_AT_MOST = 0.5;
/** Words for a call back that is told by its time alone. */
const CALL_BACK = 'Slowly come back.';

/** What is said into the silence that was written last; lives for one reading. */
export class SilenceWords {
  private silenceId: string | null = null;
  /** From when on its next words are said, by the pauses between those before, in seconds; `null` where nothing tells. */
  private next: number | null = null;

  constructor(private readonly newId: NewId) {}

  /** The silence with what a line tells of it. */
  guided(step: SilenceStep, { told, pause, again, sets }: Guided, voice: PlanVoice): SilenceStep {
    let next = step;
    for (const one of told) next = this.with(next, one, voice);
    if (pause !== undefined) {
      this.for(next);
      this.next = this.over(next, pause, voice);
    }
    if (again) {
      const { min, max } = LIMITS.reassuranceSeconds;
      const reassuranceEverySeconds = Math.min(max, Math.max(min, again.everySeconds));
      next = { ...next, reassuranceLine: cut(again.words, LIMITS.lineCharacters), reassuranceEverySeconds };
    }
    if (sets?.callBackWords !== undefined)
      next = { ...next, callBackLine: cut(joined(next.callBackLine, sets.callBackWords), LIMITS.lineCharacters) };
    if (sets?.callBackSeconds !== undefined) {
      const callBackLeadSeconds = Math.min(LIMITS.callBackLeadSeconds.max, sets.callBackSeconds);
      next = { ...next, callBackLine: next.callBackLine || CALL_BACK, callBackLeadSeconds };
    }
    return next;
  }

  /** The silence with words that stand below it; `null` where it has no room for more. */
  withMore(step: SilenceStep, told: Told, voice: PlanVoice): SilenceStep | null {
    const texts = [step.openingLine, ...step.during.map(({ text }) => text), told.words];
    const spoken = texts.reduce((sum, text) => sum + speakingSeconds(text, voice), 0);
    if (step.openingLine === '' && step.during.length === 0) return this.with(step, told, voice);
    // A name alone or a call to all ends it.
    if (!/[.…"”]$/.test(told.words) && !/^\p{Ll}/u.test(told.words) && !isCue(told.words)) return null;
    return spoken <= FILLED_AT_MOST * step.seconds ? this.with(step, told, voice) : null;
  }

  /** The first words open it; the others come at their time, or where there is room. */
  private with(step: SilenceStep, { words, at, pause }: Told, voice: PlanVoice): SilenceStep {
    const text = cut(words, LIMITS.lineCharacters);
    this.for(step);
    const opens = at === null && this.next === null && step.openingLine === '' && step.during.length === 0;
    const due = at ?? this.next;
    const start = due !== null && due < step.seconds ? due : null;
    const spoken = opens ? 0 : speakingSeconds(text, voice);
    this.next = pause === null ? null : Math.round((start ?? 0) + spoken + pause);
    if (opens) return { ...step, openingLine: text };
    const line = makeDuring(this.newId, text, start === null ? { on: 'anywhere' } : { on: 'time', number: start });
    return { ...step, during: [...step.during, line].slice(0, LIMITS.spokenLines) };
  }

  /** What was known of the silence before is of another. */
  private for(step: SilenceStep): void {
    if (this.silenceId !== step.id) [this.silenceId, this.next] = [step.id, null];
  }

  /** When a pause behind the last words is over, in seconds from the opening; `null` where they have no time. */
  private over(step: SilenceStep, pause: number, voice: PlanVoice): number | null {
    const last = step.during.at(-1);
    if (this.next !== null) return this.next + pause;
    if (last === undefined) return pause;
    return last.on === 'time' ? Math.round(last.number + speakingSeconds(last.text, voice)) + pause : null;
  }
}
