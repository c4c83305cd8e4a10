import type { Finding } from '@/core/checks';
import { findStep } from '@/core/plan';
import { useDesk, useDeskStore } from '../use-desk';

/** The place of a finding, to be gone to. */
export function Place({ finding: { stepId } }: { readonly finding: Finding }) {
  const desk = useDeskStore();
  const name = useDesk((state) => (stepId === null ? null : (findStep(state.plan, stepId)?.step.name ?? null)));
  if (name === null || stepId === null) return <span className="quiet-ink text-sm">the whole class</span>;
  return (
    <button
      type="button"
      className="link link-hover min-h-6 text-left text-sm"
      onClick={() => {
        desk.select(stepId);
        document.getElementById(`step-${stepId}`)?.scrollIntoView({ block: 'center' });
      }}
    >
      {name}
    </button>
  );
}
