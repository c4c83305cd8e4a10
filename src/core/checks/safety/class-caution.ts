import { itemAt } from '@/core/units';
import type { NewId } from '@/core/document';
import { isMovement, isTalk, makeTalk, setStep, type Edit } from '@/core/plan';
import { CLASS_CAUTION_LINES, NEW_NAMES } from '@/core/words';
import { offers, saysOrDenies, speaksFor } from '@/core/meaning';
import type { ClassCheck, ClassContext } from '../model';
import { isSeated } from './seated';

/** What is said once in every class (common practice, no published source). */
const PARTS = ['effort', 'pain', 'rest', 'sit'] as const;

/** Part of the caution for the whole class is missing. One finding, with the parts. */
export const classCaution: ClassCheck = {
  name: 'class-caution',
  group: 'safety',
  gravity: 'must',
  of: 'class',
  find: (context) => {
    const { plan, steps } = context;
    if (steps.length === 0) return [];
    const told = steps.flatMap(({ texts }) => texts.map(({ text }) => text));
    // On chairs nobody has to be told that they may sit.
    const parts = isSeated(plan, steps) ? PARTS.filter((part) => part !== 'sit') : PARTS;
    const missing = parts.filter((part) => !told.some((text) => isTold(part, text)));
    if (missing.length === 0) return [];
    const edit = sayingEdit(context, missing.map((part) => CLASS_CAUTION_LINES[part]).join(' '));
    return [{ stepId: null, facts: { parts: missing.join(' ') }, fix: { kind: 'edit', edit } }];
  },
};

function isTold(part: (typeof PARTS)[number], text: string): boolean {
  if (part === 'pain' && MAKES_LIGHT.test(text)) return false;
  const concept = part === 'sit' ? 'seat' : part;
  const said = concept === 'seat' || concept === 'rest' ? offers(text, concept) : saysOrDenies(text, concept);
  return (
    said ||
    (speaksFor(concept, text) && ![FORBIDS, MAKES_LIGHT].some((one) => one.test(text)) && !saysOrDenies(text, 'urged'))
  );
}

/** What forbids it speaks of it as well: "No sitting in my class." */
const FORBIDS = /^\W*(?:no|nobody|never|we (?:do not|don['’]t|never))\b|\b(?:ignore|through|normal|have to|must)\b/i;

/** "A bit of ache is a good sign." */
const MAKES_LIGHT = /\b(?:good sign|no gain|part of it|keeps you (?:young|fit))\b/i;

/** Says it at the end of the first talk, where nobody has moved before that; else in a talk of its own at the very start. */
function sayingEdit({ plan, steps }: ClassContext, text: string): Edit {
  const talk = steps.map(({ step }) => step).find((step) => isTalk(step) || isMovement(step));
  if (isTalk(talk)) {
    const line = { id: unusedId(steps, `${talk.id}-caution`), text, pauseSeconds: 2, layer: null };
    return setStep(talk, 'lines', [...talk.lines, line]);
  }
  const newId: NewId = () => unusedId(steps, 'class-caution');
  const made = { ...makeTalk(newId, NEW_NAMES.cautionTalk, []), caution: true };
  const step = { ...made, lines: [{ id: `${made.id}-line`, text, pauseSeconds: 2, layer: null }] };
  return { kind: 'insert-step', sectionId: itemAt(plan.sections, 0).id, index: 0, step };
}

/** An id that nothing in the class has: chance is not the core's. */
function unusedId(steps: ClassContext['steps'], wanted: string): string {
  const used = new Set(steps.flatMap(({ step }) => [step.id, ...(isTalk(step) ? step.lines.map(({ id }) => id) : [])]));
  let id = wanted.slice(0, 56);
  for (let count = 2; used.has(id); count++) id = `${wanted.slice(0, 56)}-${count}`;
  return id;
}
