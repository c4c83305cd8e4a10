import { useEffect, useMemo, useSyncExternalStore } from 'react';
import type { Saved } from '@/api/saved';
import { correctable, type Evidence } from '@/core/align';
import type { StepPerformed } from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { handWorkSince2, readAgain, type HandWork, type Reading, type Recording } from '@/core/reading';
import { expandPlan, type Timeline } from '@/core/timeline';
import { allTerms, type Spelling } from '@/core/words';
import type { SaveState } from '@/editing/saving';
import { createSession, type DocumentSession } from '@/editing/session';

/** A take as the page is given it. */
export interface Take extends HandWork {
  readonly id: string;
  readonly classId: string;
  readonly name: string;
  readonly plan: ClassPlan;
  readonly evidence: Evidence;
  readonly recording: Recording | null;
  readonly performed: readonly StepPerformed[] | null;
  readonly soundId: string | null;
  readonly reading: Reading;
  readonly revision: number;
  readonly createdAt: string;
}

export interface TakeWork {
  readonly timeline: Timeline;
  readonly reading: Reading;
  readonly work: HandWork;
  readonly save: SaveState<HandWork>;
  /** Whether it is known what an earlier page left. */
  readonly begun: boolean;
  /** After a conflict: mine on top of what another window did, or that. */
  readonly settle: (keep: 'ours' | 'theirs') => void;
  readonly change: (next: HandWork) => void;
  readonly undo: (() => void) | null;
}

/** What is done to a take by hand: shown at once, read again about it, saved behind it, and taken back step by step. */
export function useTakeWork(take: Take, spelling: Spelling): TakeWork {
  const stored = useMemo(
    (): HandWork => ({ corrections: take.corrections, adLibs: take.adLibs, cuts: take.cuts }),
    [take.corrections, take.adLibs, take.cuts],
  );
  const timeline = useMemo(() => expandPlan(take.plan), [take.plan]);
  const terms = useMemo(() => allTerms(spelling.own), [spelling.own]);
  const found = useMemo(() => correctable(timeline, take.evidence, { terms }), [timeline, take.evidence, terms]);
  const readingOf = useMemo(() => {
    let last: { readonly work: HandWork; readonly reading: Reading } = { work: stored, reading: take.reading };
    return (now: HandWork): Reading => {
      const same = now.corrections === last.work.corrections && now.adLibs === last.work.adLibs;
      if (!same) last = { work: now, reading: readAgain(timeline, take.evidence, found, now) };
      return last.reading;
    };
  }, [stored, take.reading, take.evidence, timeline, found]);
  const session = useMemo(() => workSession(take, stored, readingOf), [take, stored, readingOf]);
  const {
    document: work,
    save,
    begun,
    done,
  } = useSyncExternalStore(session.subscribe, session.getState, session.getState);
  useEffect(() => {
    void session.begin();
    return session.stop;
  }, [session]);
  return {
    timeline,
    reading: readingOf(work),
    work,
    save,
    begun,
    settle: (keep) => {
      // What another window did is not at hand here: the page is loaded again with it.
      void session.settle(keep).then(() => keep === 'theirs' && location.reload());
    },
    change: (next) => session.edit(next),
    undo: done.length > 0 ? () => session.undo() : null,
  };
}

/** What is done to a take by hand; an edit is the whole of it as it then is. */
function workSession(
  take: Take,
  stored: HandWork,
  readingOf: (work: HandWork) => Reading,
): DocumentSession<HandWork, HandWork> {
  return createSession<HandWork, HandWork>({
    kind: 'take',
    id: take.id,
    path: `/api/takes/${take.id}`,
    revision: take.revision,
    stored,
    apply: (now, next) => ({ document: next, inverse: now }),
    asEdit: (draft) => draft,
    bodyOf: (work) => ({ ...work, reading: readingOf(work) }),
    theirsOf: (current) => ({ revision: (current as Saved).revision, document: null }),
    read: asHandWork,
  });
}

/** A draft of our own making; whether its values are in bounds is seen by the server. */
function asHandWork(raw: unknown): HandWork | null {
  const draft = handWorkSince2(raw);
  if (typeof draft !== 'object' || draft === null) return null;
  const { corrections, adLibs, cuts } = draft as Partial<Record<keyof HandWork, unknown>>;
  const isList = (value: unknown): boolean => value === null || Array.isArray(value);
  const isWork = typeof corrections === 'object' && corrections !== null && isList(adLibs) && isList(cuts);
  return isWork ? (draft as HandWork) : null;
}
