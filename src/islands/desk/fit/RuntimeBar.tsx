import { breathsPerMinute } from '@/core/breath';
import { LIMITS } from '@/core/plan';
import { formatClock, formatDifference } from '@/core/units';
import { whyNot } from '@/messages/fit';
import { ClockField } from '@/ui/parts/ClockField';
import { KeepOnTarget } from '../header/DeskHeader';
import { useDesk, useDeskStore } from '../use-desk';

/** Planned runtime, target and the signed difference, with the range that the plan could reach; always in sight. */
export function RuntimeBar({ onFit }: { readonly onFit: () => void }) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const runtime = useDesk((state) => state.timeline.runtimeSeconds);
  const reach = useDesk((state) => state.reach);
  const off = Math.round(runtime) - Math.round(plan.targetSeconds);
  return (
    <section
      aria-label="Runtime"
      className="bg-base-100 border-base-300 flex shrink-0 flex-wrap items-center gap-x-5 gap-y-1 border-b px-5 py-1.5 max-md:gap-x-3 max-md:px-3 xl:gap-x-8"
    >
      <Figure label="planned" value={formatClock(runtime)} strong />
      <ClockField
        bare="minutes"
        label="target"
        className="w-24! px-1! py-0! text-2xl leading-8 md:w-28! md:text-3xl"
        seconds={plan.targetSeconds}
        min={LIMITS.targetSeconds.min}
        max={LIMITS.targetSeconds.max}
        onChange={(value) => desk.edit({ kind: 'set-plan', field: 'targetSeconds', value }, 'target')}
      />
      <Figure
        label={off > 0 ? 'over target' : off < 0 ? 'under target' : 'on target'}
        value={formatDifference(off)}
        strong
        warn={off !== 0}
      />
      <div className="min-w-40 flex-1 max-md:hidden">
        <PossibleRange
          runtime={runtime}
          target={plan.targetSeconds}
          shortest={reach.shortestSeconds}
          longest={reach.longestSeconds}
        />
      </div>
      <div className="text-right text-sm max-xl:hidden">
        <div className="quiet-ink">breath at the start</div>
        <div>
          <span className="text-base font-semibold">{plan.pace.breathSeconds.toFixed(1)} s</span>
          <span className="quiet-ink"> · {breathsPerMinute(plan.pace.breathSeconds).toFixed(1)} a minute</span>
        </div>
      </div>
      <div className="flex flex-col items-stretch self-center max-md:ml-auto">
        <button type="button" className="btn btn-primary btn-sm" onClick={onFit}>
          <span>
            Fit<span className="max-md:sr-only"> to {formatClock(plan.targetSeconds)}</span>
          </span>
        </button>
        <div className="max-md:hidden">
          <KeepOnTarget />
        </div>
      </div>
      <LandingMark onFit={onFit} />
    </section>
  );
}

/** Why keeping on target is not possible with what was just set. */
function LandingMark({ onFit }: { readonly onFit: () => void }) {
  const landing = useDesk((state) => state.landing);
  const target = useDesk((state) => state.plan.targetSeconds);
  return (
    <p role="status" className="text-accent w-full text-sm empty:hidden">
      {landing.kind === 'failed' && 'The fit after that edit failed. Your edit is saved; the next one tries again.'}
      {landing.kind === 'cannot' && (
        <>
          Not on target with what you have just set. {whyNot(landing.why, target)}{' '}
          <button type="button" className="btn btn-xs" onClick={onFit}>
            See what can change
          </button>
        </>
      )}
    </p>
  );
}

function Figure({
  label,
  value,
  strong,
  warn,
}: {
  readonly label: string;
  readonly value: string;
  readonly strong?: boolean;
  readonly warn?: boolean;
}) {
  return (
    <div aria-live="off">
      <div className="quiet-ink text-sm">{label}</div>
      <div className={`text-2xl leading-8 md:text-3xl ${strong ? 'font-semibold' : ''} ${warn ? 'text-accent' : ''}`}>
        {value}
      </div>
    </div>
  );
}

interface RangeProps {
  readonly runtime: number;
  readonly target: number;
  readonly shortest: number;
  readonly longest: number;
}

/** From the shortest to the longest the plan can be, with where it stands and where it should. */
function PossibleRange({ runtime, target, shortest, longest }: RangeProps) {
  const low = Math.min(shortest, runtime, target) * 0.92;
  const high = Math.max(longest, runtime, target) * 1.05 + 1;
  const at = (seconds: number): string => `${(((seconds - low) / (high - low)) * 100).toFixed(2)}%`;
  const words = `Possible range: between ${formatClock(shortest)} and ${formatClock(longest)}; planned ${formatClock(runtime)}, target ${formatClock(target)}.`;
  return (
    <div role="img" aria-label={words}>
      <svg width="100%" height="30" aria-hidden>
        <rect x="0" y="13" width="100%" height="5" rx="2.5" fill="var(--color-base-300)" />
        <svg x={at(shortest)} y="13" width={`${(((longest - shortest) / (high - low)) * 100).toFixed(2)}%`} height="5">
          <rect width="100%" height="5" rx="2.5" fill="var(--said-bar)" />
        </svg>
        <line
          x1={at(target)}
          x2={at(target)}
          y1="2"
          y2="29"
          stroke="var(--color-accent)"
          strokeWidth="2"
          strokeDasharray="4 3"
        />
        <line x1={at(runtime)} x2={at(runtime)} y1="6" y2="25" stroke="var(--color-primary)" strokeWidth="3" />
      </svg>
      <div className="quiet-ink flex justify-between text-xs">
        <span>{formatClock(shortest)} shortest</span>
        <span>
          <span className="text-accent" aria-hidden>
            ┆
          </span>{' '}
          target{' '}
          <span className="text-primary font-bold" aria-hidden>
            |
          </span>{' '}
          planned
        </span>
        <span>{formatClock(longest)} longest</span>
      </div>
    </div>
  );
}
