import type { NewId } from '@/core/document';
import { mirrored } from '@/core/movement';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { ALONE } from '../companions';
import { NO_TOKENS, type StepContract } from '../contract';
import { accompanyingSettings, numbersSetting, stanceSetting, textSetting } from '../settings';
import { lineMilliseconds } from '../speech';
import type { PlanVoice } from '../../voice';
import type { TransitionStep } from './schema';

export function makeTransition(
  newId: NewId,
  name: string,
  seconds: number,
  line: string,
  part: Partial<Omit<TransitionStep, 'kind' | 'id'>> = {},
): TransitionStep {
  return { kind: 'transition', id: newId(), name, seconds, line, stance: null, ...ALONE, ...part };
}

function transitionMilliseconds(step: TransitionStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), lineMilliseconds(step.line, voice));
}

export const transition: StepContract<TransitionStep> = {
  make: (newId, name) => makeTransition(newId, name || NEW_NAMES.transition, 5, ''),
  blank: (newId, name) => makeTransition(newId, name, 5, ''),
  withNewIds: (_, step) => step,
  mirrored: (step) => ({ ...step, stance: mirrored(step.stance) }),
  check: () => [],
  mostCues: () => 2,
  milliseconds: (step, { voice }) => transitionMilliseconds(step, voice),
  counted: () => null,
  write: (step, writer) => {
    const { voice } = writer.tempo;
    const start = writer.now;
    const length = transitionMilliseconds(step, voice);
    if (length > 0) writer.spoken(length, step.name);
    if (lineMilliseconds(step.line, voice) === 0) return 0;
    writer.line({
      name: 'line',
      text: writer.filled(step.line, { at: start, turn: null, rounds: 0 }),
      source: { part: 'transitionLine' },
      start,
      motion: start,
      due: start + length,
      holdsNext: true,
    });
    return 0;
  },
  tokens: () => NO_TOKENS,
  changedTexts: (step, change) => ({ line: change(step.line, { part: 'transitionLine' }) }),
  isSaid: () => true,
  wordFields: [],
  amountFields: ['seconds'],
  wish: () => null,
  parts: (step, voice) => ({ fixed: transitionMilliseconds(step, voice), stretch: null }),
  stretched: () => ({}),
  stances: (step) => ({ start: null, end: step.stance }),
  onlyLeads: true,
  isChapter: false,
  companion: (step) => step.goesWith,
  always: () => false,
  settings: [
    numbersSetting('takes', ['seconds'], ([seconds]) => `${seconds} s`),
    stanceSetting<TransitionStep>(),
    textSetting<TransitionStep>()('say', 'line'),
    ...accompanyingSettings<TransitionStep>(),
  ],
  body: () => [],
  withLine: (step, line) => (step.line.trim() === '' ? { ...step, line: line.text } : null),
  withPause: () => null,
};
