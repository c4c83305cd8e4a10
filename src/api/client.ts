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

/** Sends JSON and reads JSON; never throws for what a network or server does. */
export async function send<Value>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<Answer<Value>> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: body === undefined ? undefined : { 'content-type': 'application/json' },
      body: body === undefined ? body : JSON.stringify(body),
    });
  } catch {
    return { ok: false, away: true, status: 0, problem: { ...AWAY } };
  }
  const read: unknown = response.status === 204 ? undefined : await response.json().catch(() => null);
  return answerOf<Value>(response.status, read);
}

/** Sends a file as it is, tells how much has gone, 0 to 1, and reads JSON; `null` when it was cancelled. */
export function upload<Value>(
  path: string,
  file: Blob,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<Answer<Value> | null> {
  return new Promise((settle) => {
    // `fetch` tells nothing of what has gone.
    const request = new XMLHttpRequest();
    request.open('PUT', path);
    request.upload.addEventListener('progress', ({ loaded, total }) => onProgress(total > 0 ? loaded / total : 0));
    request.addEventListener('load', () => settle(answerOf<Value>(request.status, jsonOf(request.responseText))));
    request.addEventListener('error', () => settle({ ok: false, away: true, status: 0, problem: { ...AWAY } }));
    request.addEventListener('abort', () => settle(null));
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function answerOf<Value>(status: number, read: unknown): Answer<Value> {
  if (status >= 200 && status < 300) return { ok: true, value: read as Value };
  const problem = (
    typeof read === 'object' && read !== null ? read : { ...AWAY, status, title: 'Refused' }
  ) as Problem & Record<string, unknown>;
  return { ok: false, away: status >= 502, status, problem };
}
