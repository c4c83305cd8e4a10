import {
  LIMITS,
  placeName,
  rewordEdit,
  stepsInOrder,
  textsOf,
  type ClassPlan,
  type Edit,
  type Reworded,
} from '@/core/plan';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { readCsv } from '../csv';
import { CUE_SHEET_LIMITS } from './model';

export interface CueSheetRead {
  readonly changes: readonly Reworded[];
  /** The edit that makes them all; `null` when nothing differs. */
  readonly edit: Edit | null;
  /** Rows that were passed over, each with its place and why. */
  readonly notes: readonly Issue[];
}

/**
 * Reads a cue sheet back: which lines of the plan it words differently. Times are not read, since they follow from the
 * breath. A line that stands in several rows takes the wording that differs from the plan; two that differ from it
 * and from each other are left alone and told. Nothing is changed here.
 */
export function readCueSheet(text: string, plan: ClassPlan): Result<CueSheetRead, Issue> {
  if (text.length > CUE_SHEET_LIMITS.bytes) return failed({ code: 'cue-sheet-too-large', at: '', facts: {} });
  const [head, ...rows] = readCsv(text);
  const names = (head ?? []).map((name) => name.trim().toLowerCase());
  const [idAt, lineAt] = [names.indexOf('line id'), names.indexOf('line')];
  if (idAt < 0 || lineAt < 0) return failed({ code: 'not-a-cue-sheet', at: '', facts: {} });
  if (rows.length > CUE_SHEET_LIMITS.rows) return failed({ code: 'cue-sheet-too-large', at: '', facts: {} });
  const known = textsById(plan);
  const wanted = new Map<string, string>();
  const clashing = new Set<string>();
  const notes: Issue[] = [];
  rows.forEach((row, index) => {
    const id = (row[idAt] ?? '').trim();
    if (id === '') return;
    const now = known.get(id);
    const at = `row ${index + 2}`;
    if (now === undefined) return void notes.push({ code: 'cue-sheet-no-line', at, facts: { id } });
    const line = unguarded(row[lineAt] ?? '')
      .replace(/[\r\n]+/g, ' ')
      .trim();
    if ([...line].length > LIMITS.lineCharacters) {
      return void notes.push({ code: 'cue-sheet-line-long', at, facts: { max: LIMITS.lineCharacters } });
    }
    if (line === now.text.trim()) return;
    const before = wanted.get(id);
    if (before !== undefined && before !== line) clashing.add(id);
    wanted.set(id, line);
  });
  for (const id of clashing) {
    wanted.delete(id);
    notes.push({ code: 'cue-sheet-two-wordings', at: '', facts: { line: known.get(id)?.text ?? '' } });
  }
  const changes = [...wanted].map(([id, to]): Reworded => {
    const { stepId, place, text: from } = known.get(id) ?? { stepId: '', place: '', text: '' };
    return { stepId, place, from, to };
  });
  return ok({ changes, edit: rewordEdit(plan, changes), notes });
}

function textsById(plan: ClassPlan): ReadonlyMap<string, { stepId: string; place: string; text: string }> {
  return new Map(
    stepsInOrder(plan).flatMap(({ step }) =>
      textsOf(step).map(({ text, place }) => {
        const name = placeName(place);
        return [`${step.id} ${name}`, { stepId: step.id, place: name, text }] as const;
      }),
    ),
  );
}

function unguarded(text: string): string {
  return /^'[=+\-@\t\r]/.test(text) ? text.slice(1) : text;
}
