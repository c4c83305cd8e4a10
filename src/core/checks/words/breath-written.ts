import { changeTexts, isMovement, placeName, type ClassPlan, type Step, type StepText } from '@/core/plan';
import { breathWords } from '@/core/words';
import { fixBy, type StepCheck } from '../model';

/** Breath going out by a way, and what the belly does with the breath. */
const OUT_BY = /\bout ((?:slowly |softly |long )?)through (?:the|your) (nose|mouth)\b/i;
const BELLY = /\b(?:the|your) belly (?:(widens|fills|swells|opens)|(draws in|hollows|sinks in))\b/i;

/**
 * A line is written out for another breath style than the class has: out through the mouth in a class of the nose, or
 * the belly of the other kind. Written with tokens the words follow the style by themselves.
 */
export const breathWritten: StepCheck = {
  name: 'breath-written',
  group: 'words',
  gravity: 'should',
  of: 'step',
  find: ({ step, texts }, plan) =>
    texts.flatMap((text) => {
      const wrong = wayWrong(text.text, plan) ?? bellyWrong(text, step, plan);
      if (!wrong) return [];
      const edit = changeTexts(step, (one) => (one === text.text ? one.replace(wrong.written, wrong.instead) : one));
      const facts = { text: text.text, written: wrong.written, style: wrong.style };
      return [{ stepId: step.id, detail: placeName(text.place), facts, fix: fixBy(edit) }];
    }),
};

interface Wrong {
  readonly written: string;
  readonly instead: string;
  /** What the style says. */
  readonly style: string;
}

function wayWrong(text: string, { style }: ClassPlan): Wrong | null {
  const found = OUT_BY.exec(text);
  if (!found) return null;
  const way = style.breath === 'nose' ? 'nose' : 'mouth';
  const [written, manner = '', said = ''] = found;
  if (said.toLowerCase() === way) return null;
  return { written, instead: `out ${manner}through the ${way}`, style: breathWords(style, true).out };
}

/** What the belly does belongs to a phase: elsewhere a line may tell of both style. */
function bellyWrong({ text, place }: StepText, step: Step, { style }: ClassPlan): Wrong | null {
  if (place.part !== 'phase' || !isMovement(step)) return null;
  const kind = step.pattern.find(({ id }) => id === place.phaseId)?.kind;
  const found = BELLY.exec(text);
  if (!found || (kind !== 'inhale' && kind !== 'exhale')) return null;
  const widens = (kind === 'inhale') === (style.belly === 'natural');
  if ((found[1] !== undefined) === widens) return null;
  return { written: found[0], instead: '{belly}', style: widens ? 'the belly widens' : 'the belly draws in' };
}
