import { findPerformed, type ClassPlan } from '@/core/plan';
import type { Replan } from '@/core/conductor';
import { landingWords } from '@/messages/landing';
import { useKey } from '@/ui/parts/use-keys';
import type { Landing } from './use-landing';

interface Props {
  readonly plan: ClassPlan;
  readonly landing: Landing;
  readonly onTake: (change: Replan) => void;
}

/** How late it is, what to change in what is left so that it lands, and one key that takes it. */
export function LandingBar({ plan, landing: { lateSeconds, offered }, onTake }: Props) {
  const take = (): void => {
    if (offered) onTake(offered);
  };
  useKey('enter', take, { enabled: offered !== null });
  const { late, changes, ends } = landingWords(lateSeconds, offered, (id) => findPerformed(plan, id)?.step.name ?? '');
  return (
    <div
      role="region"
      aria-label="Landing on time"
      className="bg-base-200 border-base-300 mb-3 flex items-center gap-4 rounded-xl border p-3 text-2xl max-md:flex-wrap max-md:text-lg"
    >
      <p className="min-w-0 flex-1">
        <strong className="text-accent">{late}</strong> {changes} <strong>{ends}</strong>
      </p>
      {offered && (
        <button type="button" className="btn btn-primary h-14 text-xl" onClick={take} title="Change it (Enter)">
          Change it
        </button>
      )}
    </div>
  );
}
