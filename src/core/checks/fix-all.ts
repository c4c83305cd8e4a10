import { applyEdit, type ClassPlan, type Edit } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import type { Checker } from './check-plan';
import type { Finding } from './model';
import { dismissalReason } from './dismissed';
import { kindOf } from './gathered';

/** Findings fixed at once at most; each is looked for anew in the plan that the ones before it gave. */
const FIXED_AT_MOST = 300;

/**
 * One edit that fixes every open finding of a kind that an edit can fix; `null` where there is none. Each fix is made
 * for the plan as the fixes before it left it.
 */
export function fixAllEdit(plan: ClassPlan, check: Checker, like: Pick<Finding, 'check' | 'facts'>): Edit | null {
  const edits: Edit[] = [];
  const tried = new Set<string>();
  let now = plan;
  while (edits.length < FIXED_AT_MOST) {
    const next = check(now, expandPlan(now)).find(
      (finding) =>
        kindOf(finding) === kindOf(like) &&
        finding.fix?.kind === 'edit' &&
        !tried.has(keyOf(finding)) &&
        dismissalReason(now, finding) === null,
    );
    if (next?.fix?.kind !== 'edit') break;
    tried.add(keyOf(next));
    const applied = applyEdit(now, next.fix.edit);
    if (!applied.ok) continue;
    edits.push(next.fix.edit);
    now = applied.value.plan;
  }
  return edits.length === 0 ? null : { kind: 'together', edits };
}

function keyOf({ stepId, detail }: Finding): string {
  return `${stepId} ${detail}`;
}
