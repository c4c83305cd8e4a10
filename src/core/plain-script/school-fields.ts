import { wordOf, type ClassPlan, type Setting } from '@/core/plan';
import {
  BELLIES,
  BREATH_WAYS,
  CIRCLE_SCHOOLS,
  COUNTINGS,
  OUT_BREATHS,
  ROUND_SCHOOLS,
  SIDE_SCHOOLS,
  type Schools,
} from '@/core/words';
import { escapeText, unescapeText } from '@/core/document';

function chosen<Key extends keyof Schools>(
  key: string,
  field: Key,
  values: readonly (Schools[Key] & string)[],
): Setting<ClassPlan> {
  return {
    key,
    write: (plan) => plan.schools[field],
    read: (value, plan) => {
      const found = wordOf(values, value);
      return found === null ? null : { schools: { ...plan.schools, [field]: found } };
    },
  };
}

function worded(key: string, field: 'leftMark' | 'rightMark' | 'restLine'): Setting<ClassPlan> {
  return {
    key,
    write: (plan) => escapeText(plan.schools[field]),
    read: (value, plan) => ({ schools: { ...plan.schools, [field]: unescapeText(value) } }),
  };
}

/** The schools of a class, always written. */
export const SCHOOL_FIELDS: readonly Setting<ClassPlan>[] = [
  chosen('counting', 'counting', COUNTINGS),
  chosen('sides said', 'sides', SIDE_SCHOOLS),
  worded('at the left', 'leftMark'),
  worded('at the right', 'rightMark'),
  chosen('circles seen', 'circles', CIRCLE_SCHOOLS),
  chosen('breath through', 'breath', BREATH_WAYS),
  chosen('belly', 'belly', BELLIES),
  chosen('breath out', 'outBreath', OUT_BREATHS),
  chosen('rounds in', 'rounds', ROUND_SCHOOLS),
  worded('leave out a rest', 'restLine'),
];
