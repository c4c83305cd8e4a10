import { fillGapsEdit, transitionFor, type StanceGap } from '@/core/plan';
import { STANCE_WORDS } from '@/messages/movement';
import { useDeskStore } from '../use-desk';

const newId = (): string => crypto.randomUUID();

/** Before a step that begins in another stance than the last one ended in: a transition is proposed. */
export function StanceNotice({ gap }: { readonly gap: StanceGap }) {
  const desk = useDeskStore();
  return (
    <p className="no-print text-warning flex flex-wrap items-center gap-2 py-1 pl-16 text-sm">
      From {STANCE_WORDS[gap.from]} to {STANCE_WORDS[gap.to]}, and nothing is said.
      <button type="button" className="btn btn-xs" onClick={() => desk.edit(fillGapsEdit(newId, [gap]))}>
        Add a transition, {transitionFor(newId, gap).seconds} s
      </button>
    </p>
  );
}
