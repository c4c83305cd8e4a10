import { failed, type Result } from '@/core/units';
import { Refusal } from '@/server/refusal';
import { judgeBody, type Bodies, type BodyKind } from '@/server/judging/bodies';

/** A body as an endpoint hands it to a use case: sent as JSON, and judged. @throws Refusal */
export function asSent<Kind extends BodyKind>(kind: Kind, body: unknown): Bodies[Kind] {
  const judged: Result<Bodies[Kind], unknown> = judgeBody(kind, new TextEncoder().encode(JSON.stringify(body)));
  if (judged.ok) return judged.value;
  const { status, code, issues } = failed(judged.problem).problem as ConstructorProblem;
  throw new Refusal(status, code, issues);
}

type ConstructorProblem = Pick<Refusal, 'status' | 'code' | 'issues'>;
