import { findStep, isMovement, type Section, type Step } from '@/core/plan';
import type { TimedStep, Timeline } from '@/core/timeline';
import { formatClock } from '@/core/units';
import type { LengthFit } from '@/workers/fitter/protocol';
import { useDesk } from '../use-desk';

interface Props {
  readonly timelines: ReadonlyMap<string, Timeline>;
  readonly fits: readonly LengthFit[];
  /** A cell to be pinned; `null` for the breath. */
  readonly onPin: (lengthId: string, stepId: string | null) => void;
}

/** Steps down, section by section with its time, the breath first. */
export function LengthRows({ timelines, fits, onPin }: Props) {
  const plan = useDesk((state) => state.plan);
  const timeline = useDesk((state) => state.timeline);
  const here = new Map(timeline.steps.map((step) => [step.step, step]));
  const there = new Map(
    [...timelines].map(([id, of]) => [id, new Map(of.steps.map((step) => [step.step, step]))] as const),
  );
  return (
    <>
      <tbody>
        <tr>
          <th scope="row" className="font-normal">
            Breath at the start
          </th>
          <td className="text-right">{plan.pace.breathSeconds.toFixed(1)} s</td>
          {plan.lengths.map((length) => {
            const fit = fits.find((one) => one.lengthId === length.id);
            return (
              <td key={length.id} className="p-0 text-right">
                <button
                  type="button"
                  className={`hover:bg-base-200 min-h-7 w-full rounded px-3 text-right ${length.breathSeconds === null ? '' : 'font-semibold'}`}
                  disabled={!fit}
                  aria-label={`Breath in ${length.name}: ${fit ? fit.plan.pace.breathSeconds.toFixed(1) : ''} s${length.breathSeconds === null ? '' : ', pinned'}`}
                  onClick={() => onPin(length.id, null)}
                >
                  {fit ? `${fit.plan.pace.breathSeconds.toFixed(1)} s` : '…'}
                  {length.breathSeconds !== null && ' ·pin'}
                </button>
              </td>
            );
          })}
        </tr>
      </tbody>
      {plan.sections.map((section) => (
        <tbody key={section.id}>
          <SectionTotal section={section} timeline={timeline} timelines={timelines} />
          {section.steps.map((step) => (
            <tr key={step.id}>
              <th scope="row" className="max-w-72 truncate font-normal">
                {step.name}
              </th>
              <td className="text-right">{amount(step, here.get(step.id))}</td>
              {plan.lengths.map((length) => {
                const fit = fits.find((one) => one.lengthId === length.id);
                const fitted = fit && findStep(fit.plan, step.id)?.step;
                const pinned = length.pins.some((pin) => pin.stepId === step.id);
                return (
                  <td key={length.id} className="p-0 text-right">
                    <button
                      type="button"
                      className={`hover:bg-base-200 min-h-7 w-full rounded px-3 text-right ${pinned ? 'font-semibold' : ''}`}
                      disabled={!fitted}
                      aria-label={`${step.name} in ${length.name}: ${fitted ? amount(fitted, there.get(length.id)?.get(step.id)) : 'calculating'}${pinned ? ', pinned' : ''}`}
                      onClick={() => onPin(length.id, step.id)}
                    >
                      {fitted ? amount(fitted, there.get(length.id)?.get(step.id)) : '…'}
                      {pinned && ' ·pin'}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      ))}
    </>
  );
}

function SectionTotal({
  section,
  timeline,
  timelines,
}: {
  readonly section: Section;
  readonly timeline: Timeline;
  readonly timelines: ReadonlyMap<string, Timeline>;
}) {
  const lengths = useDesk((state) => state.plan.lengths);
  const of = (one: Timeline | undefined): string => {
    const timed = one?.sections.find((entry) => entry.section === section.id);
    return timed ? formatClock(timed.endSeconds - timed.startSeconds) : '…';
  };
  return (
    <tr className="quiet-ink bg-base-200">
      <th scope="rowgroup">{section.title}</th>
      <td className="text-right">{of(timeline)}</td>
      {lengths.map((length) => (
        <td key={length.id} className="text-right">
          {of(timelines.get(length.id))}
        </td>
      ))}
    </tr>
  );
}

/** Rounds and time of a step, or that it is left out. */
function amount(step: Step, timed: TimedStep | undefined): string {
  if (!timed) return '…';
  if (step.skipped) return 'skipped';
  const length = formatClock(timed.endSeconds - timed.startSeconds);
  if (timed.rounds === 0) return length;
  const each = isMovement(step) && step.sides !== 'together' ? ' a side' : '';
  return `${timed.rounds}${each} · ${length}`;
}
