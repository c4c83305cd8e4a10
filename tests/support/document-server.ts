import { vi } from 'vitest';

/** A document of a few words. */
export interface Doc {
  readonly words: string;
}
interface Body extends Doc {
  readonly baseRevision: number;
  readonly saveId: string;
  readonly unanswered: readonly string[];
}

/** A server that keeps one document as ours do; `lose` stores without an answer, `away` does not even hear. */
export function documentServer() {
  const kept = { revision: 1, words: 'stored', lastSaveId: '', bodies: [] as Body[], mode: 'up' as 'up' | 'lose' | 'away' | 'refuse' }; // prettier-ignore
  const put = (body: Body): Response => {
    kept.bodies.push(body);
    if (kept.mode === 'refuse') return Response.json({ code: 'bad-plan', detail: 'No.', issues: [] }, { status: 422 });
    const own = body.unanswered.includes(kept.lastSaveId);
    if (body.baseRevision !== kept.revision && !own) {
      const current = { revision: kept.revision, document: { words: kept.words } };
      return Response.json({ code: 'newer-revision', detail: 'Stale.', current }, { status: 409 });
    }
    Object.assign(kept, { revision: kept.revision + 1, words: body.words, lastSaveId: body.saveId });
    return Response.json({ revision: kept.revision });
  };
  vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
    if (kept.mode === 'away') return Promise.reject(new Error('away'));
    const answer = put(JSON.parse(init.body as string) as Body);
    return kept.mode === 'lose' ? Promise.reject(new Error('lost')) : Promise.resolve(answer);
  });
  return kept;
}
