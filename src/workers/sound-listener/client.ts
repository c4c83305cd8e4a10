import { proxy } from 'comlink';
import { failed, type Issue, type Result } from '@/core/units';
import type { Listened } from '@/sound/listen';
import { Hired } from '../hired';
import type { Hear, SoundListener } from './protocol';

/**
 * Listens to a file in a worker of its own, so that the next sound is decoded while the last is worked on. `hear` is
 * given mono sound at `rate` piece by piece, in order, and how much of the file has passed; when it says no, the
 * result is `null`, and when it rejects, so does this. Memory does not grow with length.
 */
export async function listenElsewhere(file: File, rate: number, hear: Hear): Promise<Result<Listened, Issue> | null> {
  const hired = new Hired<SoundListener>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  let broken: { readonly by: unknown } | null = null;
  let goesOn = true;
  let before: Promise<unknown> = Promise.resolve();
  const inOrder: Hear = (samples, share) => {
    const heard = before.then(async () => {
      if (!goesOn) return false;
      try {
        goesOn = await hear(samples, share);
      } catch (error) {
        broken = { by: error };
        goesOn = false;
      }
      // What is on its way is not wanted any more.
      if (!goesOn) hired.end();
      return goesOn;
    });
    before = heard;
    return heard;
  };
  const heard = await hired
    .ask((offer) => offer.listen(file, rate, proxy(inOrder)))
    .catch(() => (goesOn ? failed<Issue>({ code: 'not-media', at: '', facts: {} }) : null));
  hired.end();
  const fault = broken as { readonly by: unknown } | null;
  if (fault) throw fault.by;
  return heard;
}
