import type { Evidence } from '@/core/align';
import type { PerformanceLog } from '@/core/conductor';
import type { Caption } from '@/core/interchange';
import type { ClassPlan } from '@/core/plan';
import type { Reading, Recording } from '@/core/reading';
import type { Term } from '@/core/words';
import type { Issue, Result } from '@/core/units';

/** What a take is read from. */
export interface TakeSources {
  readonly plan: ClassPlan;
  readonly captions: readonly Caption[] | null;
  /** What the prompter showed when, where the class was performed from it; captions are believed before it. */
  readonly log: PerformanceLog | null;
  /** When the log begins on the recording's clock, in seconds, where both were made in the prompter; else `null`. */
  readonly logStart: number | null;
  /** Read as it streams past; it is never held whole and never leaves the browser. */
  readonly sound: File | null;
  /** The same class from another microphone. */
  readonly second: File | null;
  /** Terms of the studio beside the house list. */
  readonly ownTerms: readonly Term[];
}

export interface TakeRead {
  readonly evidence: Evidence;
  readonly reading: Reading;
  readonly recording: Recording | null;
  /** Of the copy of the sound, where all of it was kept. */
  readonly soundId: string | null;
  /** See `envelopeOf`. */
  readonly envelope: Uint8Array | null;
  /** What was odd on the way: a recording cut short, no speech found. */
  readonly notes: readonly Issue[];
}

/** What the worker is at; `waiting` for a server that does not answer. */
export type Doing = 'listening' | 'saying' | 'matching' | 'sending' | 'waiting';

/** Told what is done and how far it is, 0 to 1; says whether to go on. */
export type OnDoing = (doing: Doing, share: number) => Promise<boolean>;

export interface TakeReader {
  /** `null` when `goOn` said no. */
  read(sources: TakeSources, goOn: OnDoing): Promise<Result<TakeRead, Issue> | null>;
}
