import { useMemo } from 'react';
import type { Reading } from '@/core/reading';
import { reportOf } from '@/core/report';
import type { Timeline } from '@/core/timeline';
import { formatClock, type Seconds } from '@/core/units';
import { differenceSentence } from '@/messages/report';
import { DriftChart } from './DriftChart';
import { PairChart } from './PairChart';
import { SoundReport } from './SoundReport';
import { StepsPerformed } from '../StepsPerformed';
import type { Take } from '../take-work';
import { StepTable } from './StepTable';
import { TwoRecordings } from './TwoRecordings';

interface Props {
  readonly take: Pick<Take, 'plan' | 'recording' | 'performed'>;
  readonly timeline: Timeline;
  readonly reading: Reading;
  readonly names: ReadonlyMap<string, string>;
  /** Plays the take from a time; left out where there is no sound. */
  readonly onPlay?: (seconds: Seconds) => void;
}

/** What a take tells of the class: where it differs in kind, step by step, and drawn. */
export function TakeReport({ take, timeline, reading, names, onPlay }: Props) {
  const { plan, recording, performed } = take;
  const report = useMemo(() => reportOf(timeline, reading), [timeline, reading]);
  const titles = new Map(plan.sections.map(({ id, title }) => [id, title]));
  const breaths = report.steps.flatMap(({ step, breathPlannedSeconds, breathActualSeconds }) =>
    breathPlannedSeconds === null
      ? []
      : [{ name: names.get(step) ?? '', planned: breathPlannedSeconds, taken: breathActualSeconds }],
  );
  const talks = report.talk.map(({ section, planned, taken }) => ({
    name: titles.get(section) ?? '',
    planned: planned * 100,
    taken: taken === null ? null : taken * 100,
  }));
  const rate = report.syllablesPerMinute;
  return (
    <div className="p-4">
      <section aria-label="What differs" className="mb-6">
        <h2 className="mb-1 font-semibold">What differs from the plan</h2>
        {report.differences.length === 0 && report.silences.length === 0 ? (
          <p>No difference: every step that was heard is at its planned place, with its rounds.</p>
        ) : (
          <ul className="list-disc pl-5">
            {report.differences.map((one, index) => (
              <li key={index}>
                {differenceSentence(one, names.get(one.step) ?? '')} <At seconds={one.atSeconds} onPlay={onPlay} />
              </li>
            ))}
            {report.silences.slice(0, 5).map(({ startSeconds, endSeconds, plannedSeconds }) => (
              <li key={startSeconds}>
                Nobody speaks for {formatClock(endSeconds - startSeconds)}; the plan has {formatClock(plannedSeconds)}{' '}
                there. <At seconds={startSeconds} onPlay={onPlay} />
              </li>
            ))}
          </ul>
        )}
        {rate !== null && (
          <p className="mt-2">
            You spoke at {rate} syllables a minute; the plan has {plan.voice.syllablesPerMinute}.
          </p>
        )}
      </section>
      <StepTable report={report} names={names} />
      {performed && (
        <div className="mb-6">
          <StepsPerformed rows={performed} />
        </div>
      )}
      <div className="grid gap-x-8 xl:grid-cols-2">
        <DriftChart reading={reading} />
        <PairChart
          title="Talk"
          words="Share of each section in which somebody speaks."
          first="Section"
          pairs={talks}
          format={(value) => `${Math.round(value)} %`}
        />
        <PairChart
          title="Breath"
          words="Seconds per breath, planned and actual."
          first="Step"
          pairs={breaths}
          format={(value) => `${value.toFixed(1)} s`}
        />
        <div>
          {recording?.second && <TwoRecordings second={recording.second} />}
          {recording?.figures && <SoundReport figures={recording.figures} />}
        </div>
      </div>
    </div>
  );
}

function At({ seconds, onPlay }: { readonly seconds: Seconds; readonly onPlay?: (seconds: Seconds) => void }) {
  const at = formatClock(seconds);
  if (!onPlay) return <span className="quiet-ink">{at}</span>;
  return (
    <button type="button" className="btn btn-xs" onClick={() => onPlay(seconds)}>
      Play from {at}
    </button>
  );
}
