import { BODY_LIMITS, type Bodies, type BodyKind } from './judging/bodies';
import { run } from './judging/run';
import { Refusal } from './refusal';

/**
 * Reads and judges a JSON body of a kind. Its size is judged before it is read, its count of values before any schema
 * sees it, and large ones are judged on another thread.
 * @throws Refusal 400, 413, 415 or 422.
 */
export async function readBody<Kind extends BodyKind>(request: Request, kind: Kind): Promise<Bodies[Kind]> {
  if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? '')) throw new Refusal(415, 'not-json');
  const max = BODY_LIMITS[kind].bytes;
  if (Number(request.headers.get('content-length') ?? 0) > max) throw new Refusal(413, 'too-large');
  const bytes = new Uint8Array(await request.arrayBuffer());
  const judged = await run('judge', { kind, bytes }, bytes.byteLength);
  if (!judged.ok) throw new Refusal(judged.problem.status, judged.problem.code, judged.problem.issues);
  return judged.value as Bodies[Kind];
}
