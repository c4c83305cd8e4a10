import { ISSUES_AT_MOST, judge, readJson } from '@/core/document';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { MOVEMENT_LIMITS } from './limits';
import { movementUpToDate } from './migrate';
import { checkContent } from './relations';
import { movementSchema, type Movement } from './schema';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION } from './vocabulary';

/** The door for library entries: any value in, a valid movement out, or every problem at its place. */
export function readMovement(raw: unknown): Result<Movement, readonly Issue[]> {
  const wrong = notOurs(raw);
  if (wrong) return failed([wrong]);
  const judged = judge(movementUpToDate(raw), movementSchema);
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
  return typeof version === 'number' && Number.isInteger(version) && version >= 1
    ? null
    : { code: 'no-version', at: 'version', facts: {} };
}
