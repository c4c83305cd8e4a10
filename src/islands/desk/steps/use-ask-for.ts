import { ask, type Step } from '@/core/plan';
import { useDeskStore } from '../use-desk';

/** Asks for rounds or a time of a step; what is asked for in a row is undone as one. */
export function useAskFor(step: Step): (value: number) => void {
  const desk = useDeskStore();
  return (value) => {
    const edit = ask(step, value);
    if (edit) desk.edit(edit, `${step.id} asked`);
  };
}
