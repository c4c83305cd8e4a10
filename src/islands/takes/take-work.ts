import { useEffect, useMemo, useRef, useState } from 'react';
import { send } from '@/api/client';
import type { SavedReading } from '@/api/takes';
import { correctable, type Evidence } from '@/core/align';
import type { ClassPlan } from '@/core/plan';
import { readAgain, type HandWork, type Reading, type Recording } from '@/core/reading';
import { expandPlan, type Timeline } from '@/core/timeline';
import { allTerms, type Spelling } from '@/core/words';

/** A take as the page is given it. */
export interface Take extends HandWork {
  readonly id: string;
  readonly classId: string;
  readonly name: string;
  readonly plan: ClassPlan;
  readonly evidence: Evidence;
  readonly recording: Recording | null;
  readonly soundId: string | null;
  readonly reading: Reading;
  readonly revision: number;
  readonly createdAt: string;
}

export interface TakeWork {
  readonly timeline: Timeline;
  readonly reading: Reading;
  readonly work: HandWork;
  /** `null` when all of it is saved. */
  readonly saving: 'saving' | 'waiting' | 'conflict' | 'refused' | null;
  readonly change: (next: HandWork) => void;
  readonly undo: (() => void) | null;
}

const TRY_AGAIN_MILLISECONDS = 4000;

/** What is done to a take by hand: shown at once, read again about it, saved behind it, and taken back step by step. */
export function useTakeWork(take: Take, spelling: Spelling): TakeWork {
  const [steps, setSteps] = useState<readonly HandWork[]>([
    { corrections: take.corrections, remarks: take.remarks, cuts: take.cuts },
  ]);
  const work = steps[steps.length - 1];
  const { corrections, remarks } = work;
  const timeline = useMemo(() => expandPlan(take.plan), [take.plan]);
  const terms = useMemo(() => allTerms(spelling.own), [spelling.own]);
  const found = useMemo(() => correctable(timeline, take.evidence, { terms }), [timeline, take.evidence, terms]);
  const reading = useMemo(
    () =>
      corrections === take.corrections && remarks === take.remarks
        ? take.reading
        : readAgain(timeline, take.evidence, found, { corrections, remarks }),
    [take.corrections, take.remarks, take.reading, take.evidence, timeline, corrections, remarks, found],
  );
  const saving = useSaving(take, work);
  return {
    timeline,
    reading,
    work,
    saving,
    change: (next) => setSteps((before) => [...before, next]),
    undo: steps.length > 1 ? () => setSteps((before) => before.slice(0, -1)) : null,
  };
}

/** Saves whatever stands, one request at a time; while nobody answers it is tried again. */
function useSaving(take: Take, work: HandWork): TakeWork['saving'] {
  const [saved, setSaved] = useState({ work, revision: take.revision });
  const [problem, setProblem] = useState<{ readonly kind: Exclude<TakeWork['saving'], null>; readonly of: HandWork }>();
  const [turn, setTurn] = useState(0);
  const busy = useRef(false);
  const stopped = problem?.kind === 'conflict' || (problem?.kind === 'refused' && problem.of === work);
  useEffect(() => {
    if (busy.current || stopped || saved.work === work) return;
    busy.current = true;
    void send<SavedReading>('PUT', `/api/takes/${take.id}`, { baseRevision: saved.revision, ...work }).then(
      (answer) => {
        busy.current = false;
        if (answer.ok) {
          setSaved({ work, revision: answer.value.revision });
          setProblem(undefined);
        } else if (answer.away) {
          setProblem({ kind: 'waiting', of: work });
          setTimeout(() => setTurn((before) => before + 1), TRY_AGAIN_MILLISECONDS);
        } else setProblem({ kind: answer.status === 409 ? 'conflict' : 'refused', of: work });
      },
    );
  }, [take.id, work, saved, stopped, problem, turn]);
  const state = problem?.kind === 'conflict' ? 'conflict' : saved.work === work ? null : (problem?.kind ?? 'saving');
  useEffect(() => {
    if (state === null) return;
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    addEventListener('beforeunload', warn);
    return () => removeEventListener('beforeunload', warn);
  }, [state]);
  return state;
}
