import { Plus } from 'lucide-react';
import { makeStep, type Section, type StepKind } from '@/core/plan';
import { useDeskStore } from './use-desk';

const KINDS: readonly { readonly kind: StepKind; readonly label: string }[] = [
  { kind: 'movement', label: 'Movement' },
  { kind: 'talk', label: 'Talk' },
  { kind: 'quiet', label: 'Quiet' },
  { kind: 'transition', label: 'Transition' },
];

/** Adds a step at the end of a section: one button a kind. */
export function AddStep({ section }: { readonly section: Section }) {
  const desk = useDeskStore();
  return (
    <div
      className="no-print flex flex-wrap items-center gap-1 py-2 pl-14"
      role="group"
      aria-label={`Add to ${section.title}`}
    >
      {KINDS.map(({ kind, label }) => (
        <button
          key={kind}
          type="button"
          className="btn btn-xs btn-ghost"
          onClick={() => {
            const step = makeStep(() => crypto.randomUUID(), kind);
            desk.edit({ kind: 'insert-step', sectionId: section.id, index: section.steps.length, step });
            desk.select(step.id);
          }}
        >
          <Plus size={12} aria-hidden />
          {label}
        </button>
      ))}
    </div>
  );
}
