import { Plus } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { LIMITS, makeLength, type Length, setPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { formatClock } from '@/core/units';
import type { LengthFit } from '@/workers/fitter/protocol';
import { useDesk, useDeskStore, useFitter } from '../use-desk';
import { LengthHead } from './LengthHead';
import { LengthRows } from './LengthRows';
import { BreathPinDialog, PinDialog } from './PinDialog';

/** Lengths that are often wanted, in seconds (recorded classes run from 4 to 25 minutes; common practice). */
const OFTEN = [300, 600, 1200];
/** Of the class's own length, what another one begins as; the first that it can be and has not. */
const SHARES = [0.5, 0.75, 1.5, 1.25, 0.9];

interface Props {
  readonly onPrompter: (plan: LengthFit['plan']) => void;
  readonly onPublish: (plan: LengthFit['plan']) => void;
}

/** One source, several lengths: steps down, lengths across, rounds and times in the cells. */
export function LengthsView({ onPrompter, onPublish }: Props) {
  const desk = useDeskStore();
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const reach = useDesk((state) => state.reach);
  const { fits, failed, share } = useLengthFits();
  const [pinning, setPinning] = useState<{ readonly lengthId: string; readonly stepId: string | null } | null>(null);
  const timelines = useMemo(() => new Map(fits.map((fit) => [fit.lengthId, expandPlan(fit.plan)])), [fits]);
  const set = (lengths: readonly Length[], key?: string): void => {
    desk.edit(setPlan('lengths', lengths), key);
  };
  const add = (targetSeconds: number): void => {
    const made = makeLength(() => crypto.randomUUID(), nameFor(targetSeconds), targetSeconds);
    set([...plan.lengths, made].sort((a, b) => a.targetSeconds - b.targetSeconds));
  };
  const full = plan.lengths.length >= LIMITS.lengths;
  // Only what the class can be is offered: a length that is refused at once helps nobody.
  const can = (seconds: number): boolean => seconds >= reach.shortestSeconds && seconds <= reach.longestSeconds;
  const offered = OFTEN.filter(
    (seconds) =>
      can(seconds) &&
      seconds !== plan.targetSeconds &&
      !plan.lengths.some((length) => length.targetSeconds === seconds),
  );
  const taken = [plan.targetSeconds, ...plan.lengths.map((length) => length.targetSeconds)];
  const another = SHARES.map((share) => Math.round(plan.targetSeconds * share)).find(
    (seconds) => can(seconds) && !taken.includes(seconds),
  );
  const adding = (
    <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Add a length">
      {offered.map((seconds) => (
        <button key={seconds} type="button" className="btn btn-sm" disabled={full} onClick={() => add(seconds)}>
          <Plus size={14} aria-hidden />
          {formatClock(seconds)}
        </button>
      ))}
      <button type="button" className="btn btn-sm" disabled={full} onClick={() => add(another ?? plan.targetSeconds)}>
        <Plus size={14} aria-hidden />
        Another
      </button>
    </div>
  );
  return (
    <section aria-label="Lengths" className="bg-base-100 min-h-0 flex-1 overflow-auto p-4" tabIndex={0}>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <p className="max-w-prose">
          Every length is fitted from the steps of this class: an edit changes all of them. Press a cell to keep its
          rounds, its time, or to skip the step in that length.
        </p>
        {adding}
      </div>
      {plan.lengths.length > 0 && fits.length === 0 && !failed && (
        <p role="status" className="appears-late mb-2">
          Fitting the lengths · {Math.round(share * 100)} %
        </p>
      )}
      {failed && (
        <p role="status" className="text-accent mb-3">
          The lengths could not be calculated. The class was not changed; the next edit tries again.
        </p>
      )}
      {plan.lengths.length === 0 ? (
        <p className="quiet-ink">No other length yet. Add one above; steps may be skipped in it by priority.</p>
      ) : (
        <table className="table-sm table w-auto">
          <thead className="bg-base-100 sticky -top-4 z-10">
            <tr>
              <th scope="col" className="w-80 align-bottom">
                Step
              </th>
              <th scope="col" className="w-36 text-right align-bottom">
                <span className="text-base-content block font-semibold">This class</span>
                {formatClock(timeline.runtimeSeconds)} of {formatClock(plan.targetSeconds)}
              </th>
              {plan.lengths.map((length) => (
                <LengthHead
                  key={length.id}
                  length={length}
                  found={fits.find((fit) => fit.lengthId === length.id) ?? null}
                  timeline={timelines.get(length.id) ?? null}
                  onChange={(part) =>
                    set(
                      plan.lengths.map((one) => (one.id === length.id ? { ...one, ...part } : one)),
                      `length ${length.id} ${Object.keys(part).join(' ')}`,
                    )
                  }
                  onRemove={() => set(plan.lengths.filter((one) => one.id !== length.id))}
                  onPrompter={onPrompter}
                  onPublish={onPublish}
                />
              ))}
            </tr>
          </thead>
          <LengthRows
            timelines={timelines}
            fits={fits}
            onPin={(lengthId, stepId) => setPinning({ lengthId, stepId })}
          />
        </table>
      )}
      {pinning && pinning.stepId !== null && (
        <PinDialog
          lengthId={pinning.lengthId}
          stepId={pinning.stepId}
          fit={fits.find((fit) => fit.lengthId === pinning.lengthId) ?? null}
          onClose={() => setPinning(null)}
        />
      )}
      {pinning && pinning.stepId === null && (
        <BreathPinDialog
          lengthId={pinning.lengthId}
          fit={fits.find((fit) => fit.lengthId === pinning.lengthId) ?? null}
          onClose={() => setPinning(null)}
        />
      )}
    </section>
  );
}

interface LengthFits {
  readonly fits: readonly LengthFit[];
  /** The worker itself failed at the plan as it stands now. */
  readonly failed: boolean;
  /** How much of the fitting is done, 0 to 1. */
  readonly share: number;
}

/** The fits of all lengths of the plan as it stands now; none while they are worked out. */
function useLengthFits(): LengthFits {
  const plan = useDesk((state) => state.plan);
  const fitter = useFitter();
  const [share, setShare] = useState(0);
  const [found, setFound] = useState<(LengthFits & { readonly of: typeof plan }) | null>(null);
  useEffect(() => {
    let wanted = true;
    if (plan.lengths.length > 0) {
      fitter
        .lengths(plan, (share) => wanted && setShare(share))
        .then(
          (fits) => {
            if (wanted && fits) setFound({ of: plan, fits, failed: false, share: 1 });
          },
          () => wanted && setFound({ of: plan, fits: [], failed: true, share: 1 }),
        );
    }
    return () => {
      wanted = false;
    };
  }, [plan, fitter]);
  return found?.of === plan ? found : { fits: [], failed: false, share };
}

function nameFor(seconds: number): string {
  return seconds % 60 === 0 ? `${seconds / 60} minutes` : formatClock(seconds);
}
