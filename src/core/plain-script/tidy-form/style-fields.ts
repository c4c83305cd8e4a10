import { wordOf, type ClassPlan, type Setting } from '@/core/plan';
import {
  BELLIES,
  BREATH_WAYS,
  CIRCLE_STYLES,
  COUNTINGS,
  OUT_BREATHS,
  ROUND_STYLES,
  SIDE_STYLES,
  type TeachingStyle,
} from '@/core/words';
import { escapeText, unescapeText } from '@/core/document';

function chosen<Key extends keyof TeachingStyle>(
  key: string,
  field: Key,
  values: readonly (TeachingStyle[Key] & string)[],
): Setting<ClassPlan> {
  return {
    key,
    write: (plan) => plan.style[field],
    read: (value, plan) => {
      const found = wordOf(values, value);
      return found === null ? null : { style: { ...plan.style, [field]: found } };
    },
  };
}

function worded(key: string, field: 'leftMark' | 'rightMark' | 'holdLine'): Setting<ClassPlan> {
  return {
    key,
    write: (plan) => escapeText(plan.style[field]),
    read: (value, plan) => ({ style: { ...plan.style, [field]: unescapeText(value) } }),
  };
}

/** The style of a class, always written. */
export const STYLE_FIELDS: readonly Setting<ClassPlan>[] = [
  chosen('counting', 'counting', COUNTINGS),
  chosen('sides said', 'sides', SIDE_STYLES),
  worded('at the left', 'leftMark'),
  worded('at the right', 'rightMark'),
  chosen('circles seen', 'circles', CIRCLE_STYLES),
  chosen('breath through', 'breath', BREATH_WAYS),
  chosen('belly', 'belly', BELLIES),
  chosen('breath out', 'outBreath', OUT_BREATHS),
  chosen('rounds in', 'rounds', ROUND_STYLES),
  worded('skip a hold', 'holdLine'),
];
