import { Refusal } from '@/server/refusal';

/** The refusal that some work ends in; fails when it ends otherwise. */
export async function refusal(work: Promise<unknown>): Promise<Refusal> {
  const error: unknown = await work.then(
    () => null,
    (reason: unknown) => reason,
  );
  if (!(error instanceof Refusal)) throw new Error(`expected a refusal, got ${String(error)}`);
  return error;
}
