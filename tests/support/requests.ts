import type { Random } from '@/core/units';
import type { ClassPlan } from '@/core/plan';

/** One request that somebody might send to do harm. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body?: string;
}

export interface Ids {
  readonly classId: string;
  readonly takeId: string;
  readonly movementId: string;
  readonly seriesId: string;
}

/** Values that are where they should not be. */
function oddValue(chance: Random): unknown {
  const nested = (depth: number): unknown => (depth === 0 ? 0 : [nested(depth - 1)]);
  return chance.pick<unknown>([
    null, true, 0, -1, 1.5, 2 ** 31, 2 ** 53, -(2 ** 40), 1e308, '', 'x'.repeat(3000), 'a\u0000b', 'half \uD83C', '\uDFFF',
    '<script>', "'; drop table classes; --", [], [null], {}, { a: {} }, Array(3000).fill(null), Array(500).fill({}),
    nested(60), { __proto__: null, constructor: { prototype: {} } }, '00000000-0000-4000-8000-000000000000', '../../etc',
  ]); // prettier-ignore
}

/** A copy of a document with one value somewhere in it changed, left out, or put where none belongs. */
export function damaged(document: unknown, chance: Random): unknown {
  const copy: unknown = structuredClone(document);
  let at = copy;
  for (let depth = 0; depth < 12; depth++) {
    if (typeof at !== 'object' || at === null) return oddValue(chance);
    const keys = Object.keys(at);
    if (keys.length === 0) return oddValue(chance);
    const key = chance.pick(keys);
    const inside = (at as Record<string, unknown>)[key];
    const deeper = typeof inside === 'object' && inside !== null && Object.keys(inside).length > 0;
    if (deeper && chance.next() < 0.75) {
      at = inside;
      continue;
    }
    const record = at as Record<string, unknown>;
    if (chance.next() < 0.15) Reflect.deleteProperty(record, key);
    else if (chance.next() < 0.15) record[`odd${chance.whole(1, 9)}`] = oddValue(chance);
    else record[key] = oddValue(chance);
    return copy;
  }
  return copy;
}

/** Bodies as they are meant to be, by path. */
function bodies(plan: ClassPlan, ids: Ids): readonly (readonly [method: string, path: string, body: unknown])[] {
  const base = { baseRevision: 1, saveId: '11111111-1111-4111-8111-111111111111', unanswered: [] };
  const reading = { format: 'calm-count/reading', version: 2, cues: [], adLibs: [] };
  const evidence = { captions: [], speech: null, lengthSeconds: 60 };
  return [
    ['POST', '/api/classes', { from: 'plan', plan }],
    ['POST', '/api/classes', { from: 'class', classId: ids.classId }],
    ['PUT', `/api/classes/${ids.classId}`, { ...base, baseRevision: 900, plan }],
    ['POST', `/api/classes/${ids.classId}/takes`, { name: 'Take', plan, evidence, soundId: null, envelope: null, reading }],
    ['PUT', `/api/takes/${ids.takeId}`, { ...base, baseRevision: 900, corrections: { a: { actualStart: 1 } }, adLibs: null, cuts: null, reading }],
    ['POST', '/api/movements', { movement: { format: 'calm-count/movement', version: 3, name: 'Odd' } }],
    ['PUT', `/api/movements/${ids.movementId}`, { ...base, baseRevision: 900, movement: {} }],
    ['PUT', `/api/movements/${ids.movementId}/archived`, { archived: 1 }],
    ['POST', '/api/series', { title: '' }],
    ['PUT', `/api/series/${ids.seriesId}`, { ...base, baseRevision: 900, title: 'Odd', classIds: [ids.classId] }],
    ['PUT', '/api/terms', { ...base, baseRevision: 900, chosen: {}, own: [{ term: 'own-1', variants: ['lu'], misheard: [], known: false }] }],
    ['PUT', `/api/classes/${ids.classId}/listing`, { was: { tags: ['odd'], liveDates: [] }, next: { tags: ['evening'], liveDates: ['2026-05-14T17:00:00.000Z'] } }],
    ['PUT', `/api/classes/${ids.classId}/revisions/900`, { name: 'Odd' }],
    ['PUT', '/api/studio', { was: 'Another name', name: 'Odd' }],
    ['PUT', `/api/movements/${ids.movementId}/media`, { nothing: 'of a picture' }],
    ['POST', '/api/voice', { syllablesPerMinute: 1e9, pauseSeconds: 1, how: 'typed' }],
  ]; // prettier-ignore
}

/** A request out of a seed: a body damaged somewhere, no JSON at all, an odd address, an odd method. */
export function badRequest(chance: Random, plan: ClassPlan, ids: Ids, origin: string): Sent {
  const headers = { 'content-type': 'application/json', origin };
  const kind = chance.next();
  const [method, path, body] = chance.pick(bodies(plan, ids));
  if (kind < 0.7) return { method, path, headers, body: JSON.stringify(damaged(body, chance)) };
  if (kind < 0.78) return { method, path, headers, body: chance.pick(['', '{', '[', '"', 'null', '0', '[[['.repeat(20_000), '\u0000', `{"a":${'['.repeat(3000)}`]) }; // prettier-ignore
  const places = [
    '/api/classes?after=\u0000', '/api/classes?after=x', '/api/classes/%00', '/api/classes/%ff', '/api/classes/nobody/takes',
    '/api/classes/../../etc/passwd', `/api/classes/${ids.classId}/revisions/99999999999`, `/api/classes/${ids.classId}/revisions?before=1e30`,
    `/api/classes/${ids.classId}/revisions/-1`, '/api/takes/x/sound', `/api/takes/${ids.takeId}/sound`, '/api/sounds/x/9', '/api/sounds/x',
    `/api/sounds/${ids.takeId}/99999999999999`, '/api/bin/class/x/restore', '/api/bin/nothing/x/restore', '/_image?href=/x&w=1', '/_image',
    '/_actions/x', '/_server-islands/x', '/%', '/api/movements/%E0%A4%A', '/classes/x', '/healthz', '/library?x=\uD83C',
  ]; // prettier-ignore
  const odd = chance.pick(places);
  const address = odd.replace(/[^\x20-\x7E]/g, (sign) => (sign === '\u0000' ? '%00' : '%ED%A0%BC'));
  const verb = chance.pick(['GET', 'PUT', 'POST', 'PATCH', 'OPTIONS', 'HEAD', 'TRACE', 'PROPFIND']);
  const range: Record<string, string> = chance.next() < 0.3 ? { range: 'bytes=9999999999-1' } : {};
  const sends = !['GET', 'HEAD', 'TRACE', 'OPTIONS', 'PROPFIND'].includes(verb);
  return { method: verb, path: address, headers: { ...headers, ...range }, body: sends ? '{}' : undefined };
}
