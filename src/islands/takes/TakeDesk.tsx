import { useMemo, useState } from 'react';
import { send } from '@/api/client';
import type { SavedReading } from '@/api/takes';
import { stepsInOrder, type ClassPlan } from '@/core/plan';
import type { Corrections, Reading } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import type { Spelling } from '@/core/words';
import { formatClock, formatDifference } from '@/core/units';
import { ThemeSwitch } from '@/ui/parts/ThemeSwitch';
import { PublishDialog } from '../publish/PublishDialog';
import { DriftChart } from './DriftChart';
import { TakeStrip } from './TakeStrip';

interface Take {
  readonly id: string;
  readonly classId: string;
  readonly name: string;
  readonly plan: ClassPlan;
  readonly reading: Reading;
  readonly corrections: Corrections;
  readonly revision: number;
  readonly lengthSeconds: number | null;
  readonly createdAt: string;
}

interface Props {
  readonly studio: string;
  readonly take: Take;
  readonly spelling: Spelling;
}

/** A take read against its plan: each cue planned and actual, what was skipped and added, and how far it drifted. */
export function TakeDesk({ studio, take, spelling }: Props) {
  const [reading, setReading] = useState(take.reading);
  const [corrections, setCorrections] = useState(take.corrections);
  const [revision, setRevision] = useState(take.revision);
  const [problem, setProblem] = useState<string | null>(null);
  const [publishing, setPublishing] = useState(false);
  const timeline = useMemo(() => expandPlan(take.plan), [take.plan]);
  const names = useMemo(() => new Map(stepsInOrder(take.plan).map(({ step }) => [step.id, step.name])), [take.plan]);

  const correctCue = async (cueId: string, saidAtSeconds: number | null): Promise<boolean> => {
    const next = { ...corrections, [cueId]: { saidAtSeconds } };
    const answer = await send<SavedReading>('PUT', `/api/takes/${take.id}`, {
      baseRevision: revision,
      corrections: next,
    });
    if (!answer.ok) {
      setProblem(
        answer.status === 409
          ? 'This take was corrected in another window meanwhile. Reload the page to see it; your last correction was not saved.'
          : `${answer.problem.title}. The correction is still in its field; press “Set” to try again.`,
      );
      return false;
    }
    setProblem(null);
    setReading(answer.value.reading);
    setRevision(answer.value.revision);
    setCorrections(next);
    return true;
  };

  const { totals } = reading;
  const off = Math.round(totals.runtimeSeconds) - Math.round(totals.plannedSeconds);
  return (
    <div className="flex min-h-screen flex-col">
      <header className="border-base-300 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-5 py-2">
        <span className="font-semibold">{studio}</span>
        <a className="link" href="/">
          Shelf
        </a>
        <a className="link" href={`/classes/${take.classId}`}>
          {take.plan.title}
        </a>
        <a className="link" href={`/classes/${take.classId}/takes`}>
          Takes
        </a>
        <h1 className="truncate">{take.name}</h1>
        <span className="no-print ml-auto flex items-center gap-2">
          <ThemeSwitch />
          <button type="button" className="btn btn-sm btn-primary" onClick={() => setPublishing(true)}>
            Publish
          </button>
        </span>
      </header>
      <section aria-label="Figures of the take" className="bg-base-100 border-base-300 border-b px-5 py-2">
        <dl className="flex flex-wrap gap-x-8 gap-y-2">
          <Figure label="planned" value={formatClock(totals.plannedSeconds)} big />
          <Figure label="taken" value={formatClock(totals.runtimeSeconds)} big />
          <Figure label={off >= 0 ? 'over by' : 'under by'} value={formatDifference(off)} big />
          <Figure label="target" value={formatClock(take.plan.targetSeconds)} />
          <Figure label="said" value={`${totals.said} of ${reading.cues.length}`} />
          <Figure label="skipped" value={String(totals.skipped)} />
          <Figure label="remarks" value={String(totals.remarks)} />
          <Figure label="talk" value={`${Math.round(totals.talkShare * 100)} %`} />
          <Figure
            label="one breath, planned and taken"
            value={
              totals.breathTakenSeconds === null || totals.breathPlannedSeconds === null
                ? 'too few heard'
                : `${totals.breathPlannedSeconds.toFixed(1)} s · ${totals.breathTakenSeconds.toFixed(1)} s`
            }
          />
          <Figure
            label="drift at the last line"
            value={totals.driftLastSeconds === null ? 'none' : formatDifference(totals.driftLastSeconds)}
          />
        </dl>
      </section>
      {problem && (
        <p role="alert" className="bg-base-100 text-error border-error border-l-4 px-5 py-2 font-semibold">
          {problem}
        </p>
      )}
      <div className="grid flex-1 grid-cols-1 lg:grid-cols-[1fr_400px]">
        <main className="bg-base-100 min-w-0 px-4 pb-16">
          <TakeStrip reading={reading} timeline={timeline} names={names} onCorrect={correctCue} />
        </main>
        <aside aria-label="Drift" className="border-base-300 border-l p-4 max-lg:order-first">
          <DriftChart reading={reading} />
          <Remarks reading={reading} />
        </aside>
      </div>
      {publishing && (
        <PublishDialog
          plan={take.plan}
          timeline={timeline}
          reading={reading}
          spelling={spelling}
          onClose={() => setPublishing(false)}
        />
      )}
    </div>
  );
}

function Figure({ label, value, big }: { readonly label: string; readonly value: string; readonly big?: boolean }) {
  return (
    <div>
      <dt className="quiet-ink text-sm">{label}</dt>
      <dd className={big ? 'text-3xl leading-8 font-semibold' : 'text-lg leading-8'}>{value}</dd>
    </div>
  );
}

function Remarks({ reading }: { readonly reading: Reading }) {
  return (
    <section aria-label="Remarks" className="mt-6">
      <h2 className="font-semibold">Remarks, not in the plan</h2>
      {reading.remarks.length === 0 && <p>None.</p>}
      <ul>
        {reading.remarks.map((remark) => (
          <li key={remark.startSeconds} className="border-base-300 flex gap-3 border-b py-1">
            <span className="quiet-ink shrink-0">{formatClock(remark.startSeconds)}</span>
            <span className={remark.text ? 'font-serif' : 'quiet-ink'}>
              {remark.text ?? `speech of ${(remark.endSeconds - remark.startSeconds).toFixed(1)} s`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
