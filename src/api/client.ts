import type { Problem } from './problem';

/** An answer that is no success. `away` means nobody answered, or only to say so: the request may be tried again. */
export type Answer<Value> =
  | { readonly ok: true; readonly value: Value }
  | {
      readonly ok: false;
      readonly away: boolean;
      readonly status: number;
      readonly problem: Problem & Record<string, unknown>;
    };

const AWAY: Problem = {
  type: 'about:blank',
  title: 'No connection',
  status: 0,
  detail: 'The server does not answer. What you typed is kept in this browser and saved when it is back.',
  code: 'no-connection',
};

/** Sends JSON, or a file as it is, and reads JSON; never throws for what a network or server does. */
export async function send<Value>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<Answer<Value>> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined || body instanceof Blob ? undefined : { 'content-type': 'application/json' },
      body: body === undefined || body instanceof Blob ? body : JSON.stringify(body),
    });
  } catch {
    return { ok: false, away: true, status: 0, problem: { ...AWAY } };
  }
  const read: unknown = response.status === 204 ? undefined : await response.json().catch(() => null);
  if (response.ok) return { ok: true, value: read as Value };
  const problem = (
    typeof read === 'object' && read !== null ? read : { ...AWAY, status: response.status, title: 'Refused' }
  ) as Problem & Record<string, unknown>;
  return { ok: false, away: response.status >= 502 || response.status === 503, status: response.status, problem };
}
