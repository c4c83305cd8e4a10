import { isSilence, stepsInOrder, type Step } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from './chance';

/* Plans that scripts make, as lines that tests compare. */

/** A step in a line: its name, amount, sides and breath, and what is said in it. */
export function told(step: Step): string {
  if (step.kind === 'talk') return `talk ${step.name}${step.timed ? ` ${step.seconds} s` : ''}`;
  if (step.kind === 'transition') return `to ${step.name}`;
  const over = step.during.map(({ on, number, text }) => `${on} ${number} “${text}”`);
  if (isSilence(step)) {
    const eyes = step.eyesClosed ? ' eyes closed' : '';
    const back = step.callBackLine ? ` back ${step.callBackLeadSeconds} s before` : '';
    return [`still ${step.name} ${step.seconds} s${eyes}${back}`, step.openingLine && `“${step.openingLine}”`, ...over].filter(Boolean).join('; '); // prettier-ignore
  }
  const amount = step.pacedBy === 'breath' ? `x${step.rounds}` : step.pacedBy === 'breath-then-own-pace' ? `x${step.rounds} + own ${step.seconds} s` : `${step.pacedBy} ${step.seconds} s`; // prettier-ignore
  const sides = step.sides === 'together' ? '' : ` ${step.sides}${step.startSide === 'right' ? ' from the right' : ''}`;
  const rests = step.pattern.map(({ kind, seconds }) => (kind === 'hold' ? `hold ${String(seconds)}` : kind)).join(' ');
  const rested = rests === 'inhale exhale' ? '' : ` (${rests})`;
  const first = step.teach.map(({ text }) => `“${text}”`);
  const levels = step.levels.map(({ lines }) => `level “${lines.join(' ')}”`);
  const caution = step.moments.caution === '' ? [] : [`caution “${step.moments.caution}”`];
  const after = step.moments.leaving === '' ? [] : [`after “${step.moments.leaving}”`];
  return [`${step.name} ${amount}${sides}${rested}`, ...first, ...over, ...levels, ...caution, ...after].join('; ');
}

/** The steps of the plan that a script makes, each in a line. */
export const plannedFrom = (script: string): readonly string[] =>
  stepsInOrder(readScript(countingIds('w'), script).plan).map(({ step }) => told(step));

/** The form with the plan it makes, where that is another than the one meant, in which `*` stands for a name; else nothing. */
export function otherThan(plan: string, form: string, script: string): readonly string[] {
  const made = plannedFrom(script).join('; ');
  const meant = new RegExp(`^${plan.replace(/[()+{}.?]/g, '\\$&').replaceAll('*', '[^;]+')}$`);
  return meant.test(made) ? [] : [`${form} => ${made}`];
}
