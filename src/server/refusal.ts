import { PROBLEM_TYPE, type Problem } from '@/api/problem';
import type { Issue } from '@/core/units';
import { REFUSALS, type RefusalCode } from '@/messages/refusals';
import { log } from './log.mjs';

/** When to come again while the database is away or there is too much to do. */
export const RETRY_AFTER_SECONDS = '3';

/** A request that is refused for a reason the person can act on; becomes an RFC 9457 answer. */
export class Refusal extends Error {
  override readonly name = 'Refusal';

  constructor(
    readonly status: number,
    readonly code: RefusalCode,
    readonly issues?: readonly Issue[],
    readonly extra?: object,
  ) {
    super(code);
  }

  toResponse(): Response {
    const { title, detail } = REFUSALS[this.code];
    const problem: Problem = {
      type: 'about:blank',
      title,
      status: this.status,
      detail,
      code: this.code,
      issues: this.issues,
    };
    return Response.json(
      { ...problem, ...this.extra },
      {
        status: this.status,
        headers: { 'content-type': PROBLEM_TYPE, ...(this.status === 503 && { 'retry-after': RETRY_AFTER_SECONDS }) },
      },
    );
  }
}

/**
 * Runs a use case and answers with its value as JSON, or with a response of its own making. Refusals become their problem; a database that is away becomes
 * 503, so that the browser keeps what it has and tries again; anything else is logged and becomes 500.
 */
export async function answer(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    const value = await work();
    if (value instanceof Response) return value;
    return value === undefined ? new Response(null, { status: 204 }) : Response.json(value, { status });
  } catch (error) {
    if (error instanceof Refusal) return error.toResponse();
    if (isDatabaseAway(error)) return new Refusal(503, 'database-away').toResponse();
    if (isDiskFull(error)) return new Refusal(507, 'disk-full').toResponse();
    log.error({ err: error }, 'a request failed');
    return new Refusal(500, 'fault').toResponse();
  }
}

const CONNECTION_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOENT',
  '57P01',
  '57P02',
  '57P03',
  '55000',
  '53300',
  '08006',
  '08003',
  '08001',
  // A statement or a lock that took too long, and a connection cut because it stood in the middle of something.
  '57014',
  '55P03',
  '25P03',
]);

/** Whether an error, or what caused it, is a lost connection to PostgreSQL, or one that does not answer in time. */
export function isDatabaseAway(error: unknown): boolean {
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    const { code } = at as { code?: string };
    if (code !== undefined && CONNECTION_CODES.has(code)) return true;
    if (
      /Connection terminated|connection timeout|timeout exceeded when trying to connect|Query read timeout|not queryable/i.test(
        at.message,
      )
    )
      return true;
    if (at instanceof AggregateError && at.errors.some(isDatabaseAway)) return true;
  }
  return false;
}

/** Whether PostgreSQL, or what lies under it, has no room left. */
export function isDiskFull(error: unknown): boolean {
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    if (['53100', 'ENOSPC'].includes((at as { code?: string }).code ?? '')) return true;
  }
  return false;
}
