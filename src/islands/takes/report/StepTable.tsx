import type { Report, StepReading } from '@/core/report';
import { formatClock, formatDifference } from '@/core/units';
import { SIDE_NAMES } from '@/messages/sides';

interface Props {
  readonly report: Report;
  readonly names: ReadonlyMap<string, string>;
}

/** Columns, and whether they hold figures. */
const HEADS = [
  ['Step', false],
  ['Began', true],
  ['Drift', true],
  ['Lines', true],
  ['Rounds', false],
  ['Breath', true],
  ['Teaching', true],
] as const;

/** Every step as planned and as taken: begin, lines, rounds on each side, breath, teaching. */
export function StepTable({ report, names }: Props) {
  return (
    <section aria-label="Step by step" className="mb-6 overflow-x-auto" tabIndex={0}>
      <h2 className="font-semibold">Step by step</h2>
      <p className="mb-1 text-sm">Breath and teaching in seconds: planned, then actual.</p>
      <table className="table-sm table [&_:is(td,th)]:px-2">
        <thead>
          <tr>
            {HEADS.map(([head, isFigure]) => (
              <th key={head} scope="col" className={isFigure ? 'text-right' : ''}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {report.steps
            .filter(({ cues, rounds }) => cues > 0 || rounds.length > 0)
            .map((step) => (
              <Row key={step.step} step={step} name={names.get(step.step) ?? ''} />
            ))}
        </tbody>
      </table>
    </section>
  );
}

function Row({ step, name }: { readonly step: StepReading; readonly name: string }) {
  const drift = step.startsAtSeconds === null ? null : step.startsAtSeconds - step.plannedStartSeconds;
  return (
    <tr className="tabular-nums">
      <th scope="row" className="font-normal whitespace-nowrap">
        {name}
      </th>
      <td className="text-right">{step.startsAtSeconds === null ? 'not heard' : formatClock(step.startsAtSeconds)}</td>
      <td className="text-right">{drift === null ? '' : formatDifference(drift)}</td>
      <td className="text-right whitespace-nowrap">
        {step.said} of {step.cues}
      </td>
      <td>
        {step.rounds.map(({ side, planned, found }) => (
          <span
            key={side ?? 'both'}
            className={`mr-3 whitespace-nowrap ${found !== null && found !== planned ? 'text-accent font-semibold' : ''}`}
          >
            {side ? `${SIDE_NAMES[side]} ` : ''}
            {found === null ? `${planned} planned` : `${found} of ${planned}`}
          </span>
        ))}
      </td>
      <td className="text-right whitespace-nowrap">{pair(step.breathPlannedSeconds, step.breathActualSeconds)}</td>
      <td className="text-right whitespace-nowrap">{pair(step.teachPlannedSeconds, step.teachTakenSeconds)}</td>
    </tr>
  );
}

function pair(planned: number | null, taken: number | null): string {
  if (planned === null) return '';
  return `${planned.toFixed(1)} · ${taken === null ? '–' : taken.toFixed(1)}`;
}
