import { LIMITS, type Edit, type Step } from '@/core/plan';
import type { CueSource } from '@/core/timeline';

/** The text of the plan that a cue was made from: with its tokens, and without the last-round line before it. */
export function sourceText(step: Step, source: CueSource): string {
  if (source.part === 'phase') {
    const phase = step.kind === 'movement' ? step.pattern.find((one) => one.id === source.phaseId) : undefined;
    return phase && source.form !== 'silent' ? phase[source.form] : '';
  }
  if (source.part === 'teach')
    return (step.kind === 'movement' && step.teach.find((line) => line.id === source.lineId)?.text) || '';
  if (source.part === 'line')
    return (step.kind === 'talk' && step.lines.find((line) => line.id === source.lineId)?.text) || '';
  if (source.part === 'sideChangeLine' || source.part === 'lastRoundLine') {
    return step.kind === 'movement' ? step[source.part] : '';
  }
  if (source.part === 'transitionLine') return step.kind === 'transition' ? step.line : '';
  if (source.part === 'moment') return step.kind === 'movement' ? step.moments[source.moment] : '';
  if (source.part === 'level') return (step.kind === 'movement' && step.levels[source.index]?.line) || '';
  return step.kind === 'quiet' ? step[source.part] : '';
}

/** The edit that sets that text; `null` where the step no longer has it. */
export function setSourceText(step: Step, source: CueSource, text: string): Edit | null {
  if (source.part === 'phase') {
    if (step.kind !== 'movement' || source.form === 'silent') return null;
    const { phaseId, form } = source;
    const pattern = step.pattern.map((phase) => (phase.id === phaseId ? { ...phase, [form]: text } : phase));
    return { kind: 'set-step', stepId: step.id, field: 'pattern', value: pattern.map((phase) => ({ ...phase })) };
  }
  if (source.part === 'teach' || source.part === 'line') {
    const field = source.part === 'teach' ? 'teach' : 'lines';
    const lines = step.kind === 'movement' ? step.teach : step.kind === 'talk' ? step.lines : [];
    const value = lines.map((line) => (line.id === source.lineId ? { ...line, text } : { ...line }));
    return { kind: 'set-step', stepId: step.id, field, value };
  }
  if (source.part === 'moment') {
    if (step.kind !== 'movement') return null;
    return { kind: 'set-step', stepId: step.id, field: 'moments', value: { ...step.moments, [source.moment]: text } };
  }
  if (source.part === 'level') {
    if (step.kind !== 'movement') return null;
    const value = step.levels.map((level, at) => (at === source.index ? { ...level, line: text } : { ...level }));
    return { kind: 'set-step', stepId: step.id, field: 'levels', value };
  }
  const field = source.part === 'transitionLine' ? 'line' : source.part;
  return { kind: 'set-step', stepId: step.id, field, value: text };
}

export const LINE_LIMIT = LIMITS.lineCharacters;
