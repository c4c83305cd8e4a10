import { Piscina } from 'piscina';
import { Refusal } from '../refusal';
import { JOBS, type JobInput, type JobName, type JobOutput } from './jobs';

/** Smaller documents are judged where they are: a few milliseconds, less than the way to a thread and back. */
const IN_PLACE_BYTES = 16 * 1024;
const THREADS = 2;
/** Jobs that may wait for a thread; more are asked to come again. */
const WAITING_AT_MOST = 64;
const GIVE_UP_MILLISECONDS = 20_000;

let pool: Piscina | null = null;

/** The threads; `null` where the server was not built (tests of use cases), then all work is done in place. */
function threads(): Piscina | null {
  const filename = process.env.CALM_JUDGING_WORKER;
  if (!filename) return null;
  pool ??= new Piscina({
    filename,
    minThreads: 1,
    maxThreads: THREADS,
    maxQueue: WAITING_AT_MOST,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  });
  return pool;
}

/**
 * Does a job on a document of that many bytes, beside the thread that answers requests when it is large.
 * @throws Refusal 503 when too many wait, or when it takes too long.
 */
export async function run<Name extends JobName>(
  name: Name,
  input: JobInput<Name>,
  bytes: number,
): Promise<JobOutput<Name>> {
  const at = bytes > IN_PLACE_BYTES ? threads() : null;
  if (!at) return (JOBS[name] as (given: JobInput<Name>) => JobOutput<Name>)(input);
  if (at.queueSize >= WAITING_AT_MOST) throw new Refusal(503, 'busy');
  try {
    // Bytes are handed over and not copied: nobody here needs them any more.
    const transferList = 'bytes' in input ? [input.bytes.buffer as ArrayBuffer] : [];
    const signal = AbortSignal.timeout(GIVE_UP_MILLISECONDS);
    return (await at.run({ name, input }, { signal, transferList })) as JobOutput<Name>;
  } catch (error) {
    // A thread that ran out of memory, or out of time, took nobody else with it.
    const { name: kind, code } = error as { readonly name?: string; readonly code?: string };
    if (kind === 'AbortError' || kind === 'TimeoutError') throw new Refusal(503, 'busy');
    if (code === 'ERR_WORKER_OUT_OF_MEMORY') throw new Refusal(413, 'too-large');
    throw error;
  }
}
