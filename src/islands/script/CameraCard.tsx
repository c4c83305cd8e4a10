import type { CSSProperties } from 'react';
import type { ClassPlan, Step } from '@/core/plan';
import type { Timeline } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { withEach } from '@/messages/sides';

/** Type sizes in millimetres, from the largest that is useful to the smallest that a long class needs. */
const LARGEST = 11;
const SMALLEST = 2.5;
const STEP = 0.25;
/** Room in millimetres that A4 and Letter both have within their margins, under the title. */
const ROOM = { width: 186, height: 205 };
/** A character of the sans over its size, on the wide side; the times and amounts are set smaller. */
const CHARACTER = 0.56;
const SMALL = 0.72;
const LINE = 1.28;
const PADDING = 0.26;
const CLOCK_WIDTH = 4.2;
/** Of each line's border, in millimetres. */
const BORDER = 0.3;

/** The largest type in which the names stay on one page. */
function typeSize(names: readonly string[], amounts: readonly string[]): number {
  const widest = Math.max(0, ...amounts.map((one) => one.length));
  for (let size = LARGEST; size > SMALLEST; size -= STEP) {
    const across = ROOM.width - size * (CLOCK_WIDTH + 1 + widest * CHARACTER * SMALL);
    const characters = Math.max(4, Math.floor(across / (size * CHARACTER)));
    const lines = names.reduce((sum, name) => sum + Math.ceil(name.length / characters), 0);
    const height = size * (lines * LINE + names.length * PADDING) + names.length * BORDER;
    if (height <= ROOM.height) return size;
  }
  return SMALLEST;
}

/** One page in large type to pin beside the camera: what comes when, how often, and on which side. */
export function CameraCard({ plan, timeline }: { readonly plan: ClassPlan; readonly timeline: Timeline }) {
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  const steps = plan.sections.flatMap(({ steps: of }) =>
    of.filter((step) => !step.skipped && step.kind !== 'transition'),
  );
  const amountOf = (step: Step): string => {
    const place = timed.get(step.id);
    if (!place) return '';
    if (place.rounds === 0) return formatClock(place.endSeconds - place.startSeconds);
    return withEach(`${place.rounds} ×`, step.kind === 'movement' ? step.sides : 'together');
  };
  const size = typeSize(
    steps.map(({ name }) => name),
    steps.map(amountOf),
  );
  return (
    <ol
      aria-label="Camera card"
      // On paper as large as its page takes it; on a screen no wider than the screen.
      className="mt-4 text-[length:min(var(--card-type),4.6vw)] leading-tight print:text-[length:var(--card-type)]"
      style={{ '--card-type': `${size}mm` } as CSSProperties}
    >
      {steps.map((step) => {
        const place = timed.get(step.id);
        if (!place) return null;
        return (
          <li
            key={step.id}
            className="border-base-300 grid break-inside-avoid grid-cols-[4.2em_minmax(0,1fr)_auto] items-baseline gap-x-[0.5em] border-b py-[0.12em]"
          >
            <span className="text-[0.72em]">{formatClock(place.startSeconds)}</span>
            <span className="font-semibold">{step.name}</span>
            <span className="text-[0.72em] whitespace-nowrap">{amountOf(step)}</span>
          </li>
        );
      })}
    </ol>
  );
}
