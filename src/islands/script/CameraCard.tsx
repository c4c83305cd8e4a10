import type { ClassPlan } from '@/core/plan';
import type { Timeline } from '@/core/timeline';
import { formatClock } from '@/core/units';

/** Lines of the card that one page holds in the largest type, and in the smallest. */
const LARGEST_UP_TO = 14;
const SMALLEST_FROM = 34;
/** Type sizes in millimetres of an A4 page, from the largest to the smallest. */
const LARGEST = 11;
const SMALLEST = 5.2;

/** One page in large type to pin beside the camera: what comes when, how often, and on which side. */
export function CameraCard({ plan, timeline }: { readonly plan: ClassPlan; readonly timeline: Timeline }) {
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  const steps = plan.sections.flatMap(({ steps: of }) =>
    of.filter((step) => !step.leftOut && step.kind !== 'transition'),
  );
  const along = Math.min(1, Math.max(0, (steps.length - LARGEST_UP_TO) / (SMALLEST_FROM - LARGEST_UP_TO)));
  const size = LARGEST + (SMALLEST - LARGEST) * along;
  return (
    <ol aria-label="Camera card" className="mt-4 leading-tight" style={{ fontSize: `min(${size}mm, 7vw)` }}>
      {steps.map((step) => {
        const place = timed.get(step.id);
        if (!place) return null;
        const sides = step.kind === 'movement' && step.sides !== 'none';
        const amount =
          place.rounds > 0
            ? `${place.rounds} ×${sides ? ' per side' : ''}`
            : formatClock(place.endSeconds - place.startSeconds);
        return (
          <li
            key={step.id}
            className="border-base-300 grid break-inside-avoid grid-cols-[4.2em_minmax(0,1fr)_auto] items-baseline gap-x-[0.5em] border-b py-[0.12em]"
          >
            <span className="text-[0.72em]">{formatClock(place.startSeconds)}</span>
            <span className="font-semibold">{step.name}</span>
            <span className="text-[0.72em] whitespace-nowrap">{amount}</span>
          </li>
        );
      })}
    </ol>
  );
}
