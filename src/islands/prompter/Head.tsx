import { X } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import type { ClassPlan } from '@/core/plan';
import { packShape, shapeOf, type Timeline } from '@/core/timeline';
import { formatClock, formatDifference } from '@/core/units';
import { ClassShape } from '@/ui/parts/ClassShape';

interface Props {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly place: number;
  /** When it ends as it goes, and when it should; from its beginning. */
  readonly ends: number;
  readonly target: number;
  readonly begun: boolean;
  readonly onLeave: () => void;
}

/** The whole class as a thin line with where one is, what is left, and when it ends. */
export function Head({ plan, timeline, place, ends, target, begun, onLeave }: Props) {
  const off = Math.round(ends) - Math.round(target);
  const shape = useMemo(() => packShape(shapeOf(plan, timeline)), [plan, timeline]);
  return (
    <header className="flex flex-wrap items-start gap-x-8 gap-y-1 max-md:gap-x-3">
      <div className="min-w-0 flex-1 max-md:order-last max-md:w-full max-md:flex-none" aria-hidden>
        <div className="relative">
          <ClassShape shape={shape} />
          <span
            className="bg-accent absolute -top-1 -bottom-1 w-0.5"
            style={{ left: `${(100 * place) / Math.max(1, timeline.runtimeSeconds)}%` }}
          />
        </div>
        <div className="quiet-ink truncate text-lg max-md:text-sm">{begun ? plan.title : 'ready'}</div>
      </div>
      <Figure label="left">{formatClock(timeline.runtimeSeconds - place)}</Figure>
      <Figure label="ends at">{formatClock(ends)}</Figure>
      <Figure label="vs target" accent={off !== 0}>
        {formatDifference(off)}
      </Figure>
      <button
        type="button"
        className="btn btn-square h-12 w-12 shrink-0 max-md:ml-auto"
        aria-label="Close the prompter"
        title="Close the prompter (Escape)"
        onClick={onLeave}
      >
        <X aria-hidden />
      </button>
    </header>
  );
}

interface FigureProps {
  readonly label: string;
  readonly accent?: boolean;
  readonly children: ReactNode;
}

function Figure({ label, accent, children }: FigureProps) {
  return (
    <div className="text-right max-md:text-left">
      <div className="quiet-ink text-lg max-md:text-sm">{label}</div>
      <div className={`text-4xl font-semibold max-md:text-2xl ${accent ? 'text-accent' : ''}`}>{children}</div>
    </div>
  );
}
