import type { ComponentType } from 'react';
import type { TimedStep } from '@/core/timeline';
import type { SetStepField } from '../inspector/set-field';

/** What the desk shows of a kind of step. */
export interface StepView<Step> {
  /** Its fields beside the timeline. */
  readonly Fields: ComponentType<{ readonly step: Step; readonly timed: TimedStep; readonly set: SetStepField<Step> }>;
  /** Behind its name: what it is, in a few words. */
  readonly about: (step: Step, timed: TimedStep) => string;
  /** What its rounds or time are, in words; empty where it has none of its own. */
  readonly amount: (step: Step) => string;
  /** In the field for one more line. */
  readonly lineHint: (step: Step) => string;
  /** Pixels a second on the timeline. */
  readonly scale: number;
  /** As tall as it may become by its length alone. */
  readonly tallest?: number;
}
