import { useEffect, useMemo, useState } from 'react';
import {
  readPerformanceLog,
  stepsPerformed,
  wereChanged,
  type PerformanceLog,
  type StepPerformed,
  type StepTime,
} from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { formatClock, formatDifference } from '@/core/units';

interface Props {
  readonly plan: ClassPlan;
  /** The file that was chosen for words; it may be no log. */
  readonly words: File;
}

/** The steps of a class side by side, by the log that is chosen. */
export function StepsOfLog({ plan, words }: Props) {
  const [log, setLog] = useState<PerformanceLog | null>(null);
  useEffect(() => {
    let wanted = true;
    void words.text().then((text) => {
      const read = readPerformanceLog(text);
      if (wanted) setLog(read.ok ? read.value : null);
    });
    return () => {
      wanted = false;
    };
  }, [words]);
  const rows = useMemo(() => (log ? stepsPerformed(plan, log) : []), [plan, log]);
  return <StepsPerformed rows={rows} />;
}

/** Steps as planned, as changed on the way, and as performed; nothing where there are none. */
export function StepsPerformed({ rows }: { readonly rows: readonly StepPerformed[] }) {
  if (rows.length === 0) return null;
  const isChanged = wereChanged(rows);
  const heads = ['Planned', ...(isChanged ? ['Changed'] : []), 'Performed'];
  return (
    <details className="mt-3">
      <summary className="link w-fit">
        {isChanged ? 'Planned, changed and performed' : 'Planned and performed'}, step by step
      </summary>
      <section aria-label="Steps by the log" className="overflow-x-auto" tabIndex={0}>
        <table className="table-sm mt-2 table w-auto">
          <thead>
            <tr>
              <th scope="col">Step</th>
              {heads.map((head) => (
                <th key={head} scope="col" className="text-right">
                  {head}
                </th>
              ))}
              <th scope="col" className="text-right">
                Performed vs planned
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ step, name, planned, changed, performed, offSeconds }) => (
              <tr key={step}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <Time time={planned} none="" />
                {isChanged && <Time time={changed} none="dropped" />}
                <Time time={performed} none="skipped" />
                <td className="text-right">{offSeconds !== null && formatDifference(offSeconds)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </details>
  );
}

/** From when, and for how long. */
function Time({ time, none }: { readonly time: StepTime | null; readonly none: string }) {
  return (
    <td className="text-right whitespace-nowrap">
      {time ? (
        <>
          {formatClock(time.seconds)} <span className="quiet-ink">from {formatClock(time.startSeconds)}</span>
        </>
      ) : (
        <span className="quiet-ink">{none}</span>
      )}
    </td>
  );
}
