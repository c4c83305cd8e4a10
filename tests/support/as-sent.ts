import { Refusal } from '@/server/refusal';
import { judgeBody, type Bodies, type BodyKind } from '@/server/judging/bodies';

/** A body as an endpoint hands it to a use case: sent as JSON, and judged. @throws Refusal */
export function asSent<Kind extends BodyKind>(kind: Kind, body: unknown): Bodies[Kind] {
  const judged = judgeBody(kind, new TextEncoder().encode(JSON.stringify(body)));
  if (!judged.ok) throw new Refusal(judged.problem.status, judged.problem.code, judged.problem.issues);
  return judged.value;
}
