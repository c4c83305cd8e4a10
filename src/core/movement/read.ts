import { ISSUES_AT_MOST, judge, readJson } from '@/core/document';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { MOVEMENT_LIMITS } from './limits';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION, type Movement, type MovementContent } from './model';
import { checkContent } from './relations';
import { movementSchema } from './schema';

/** The door for library entries: any value in, a valid movement out, or every problem at its place. */
export function readMovement(raw: unknown): Result<Movement, readonly Issue[]> {
  const wrong = notOurs(raw);
  if (wrong) return failed([wrong]);
  const judged = judge(raw, movementSchema);
  if (!judged.ok) return judged;
  const movement = judged.value as Movement;
  const issues: Issue[] = [];
  const seen = new Set<string>();
  const once = (id: string, at: string): void => {
    if (seen.has(id)) issues.push({ code: 'id-twice', at: `${at}.id`, facts: { id } });
    seen.add(id);
  };
  issues.push(...checkContent(movement, '', once));
  return issues.length > 0 ? failed(issues.slice(0, ISSUES_AT_MOST)) : ok(movement);
}

/** The same from the text of a file. */
export function readMovementText(text: string): Result<Movement, readonly Issue[]> {
  const json = readJson(text, MOVEMENT_LIMITS.movementBytes);
  return json.ok ? readMovement(json.value) : failed([json.problem]);
}

function notOurs(raw: unknown): Issue | null {
  const document = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>) : {};
  if (document.format !== MOVEMENT_FORMAT) return { code: 'not-a-movement', at: '', facts: {} };
  const { version } = document;
  if (typeof version === 'number' && version > MOVEMENT_VERSION) {
    return { code: 'newer-version', at: 'version', facts: { version, known: MOVEMENT_VERSION } };
  }
  return version === MOVEMENT_VERSION ? null : { code: 'no-version', at: 'version', facts: {} };
}

/** The content alone of an entry or of a class's copy: the fields that both have, in the same order. */
export function contentOf(from: MovementContent): MovementContent {
  const content: Partial<Record<keyof MovementContent, unknown>> = {};
  for (const field of CONTENT_FIELDS) content[field] = from[field];
  return content as MovementContent;
}

const CONTENT_OF_NOTHING: Readonly<Record<keyof MovementContent, true>> = {
  name: true,
  traditionalName: true,
  otherNames: true,
  stanceStart: true,
  stanceEnd: true,
  sides: true,
  startSide: true,
  pattern: true,
  lead: true,
  preferredRounds: true,
  leastRounds: true,
  mostRounds: true,
  multiple: true,
  preferredSeconds: true,
  leastSeconds: true,
  mostSeconds: true,
  paceMultiplier: true,
  inShare: true,
  teach: true,
  fade: true,
  lastRoundLine: true,
  sideChangeLine: true,
  sideChangeSeconds: true,
  levels: true,
  cautions: true,
  seated: true,
  priority: true,
};

/** Every field of a movement's content. */
export const CONTENT_FIELDS = Object.keys(CONTENT_OF_NOTHING) as readonly (keyof MovementContent)[];
