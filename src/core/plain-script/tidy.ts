import { firstItems, itemAt } from '@/core/units';
import { LAYERS, SECTION_ROLES, type Layer, type Phase, type SectionRole } from '@/core/movement';
import {
  contractOf,
  isMovement,
  STEP_KINDS,
  wordOf,
  type ClassPlan,
  type Section,
  type Setting,
  type Step,
} from '@/core/plan';
import { PHASE_KINDS } from '@/core/breath';
import { splitBars, unescapeText } from '@/core/document';
import { PLAN_FIELDS, SECTION_FIELDS } from './plan-fields';

/** What a line of the tidy form is. */
export type Tidy =
  | { readonly what: 'title'; readonly text: string }
  | { readonly what: 'section'; readonly text: string; readonly role: SectionRole }
  | { readonly what: 'step'; readonly kind: Step['kind']; readonly text: string }
  | { readonly what: 'said'; readonly text: string; readonly pauseSeconds: number; readonly layer: Layer | null }
  | { readonly what: 'phase'; readonly phase: Omit<Phase, 'id'> }
  | { readonly what: 'length' | 'theme' | 'dismissed'; readonly text: string }
  | { readonly what: 'plan'; readonly field: Setting<ClassPlan>; readonly value: string }
  | { readonly what: 'section-field'; readonly field: Setting<Section>; readonly value: string }
  | { readonly what: 'step-field'; readonly field: Setting<Step>; readonly value: string };

/** Settings by the names that scripts written before document version 6 have for them. */
const OLDER_KEYS: ReadonlyMap<string, string> = new Map([
  ['led by', 'paced by'],
  ['in share', 'inhale share'],
  ['in share here', 'inhale share here'],
  ['fade held', 'fade locked'],
  ['leave out a rest', 'skip a hold'],
  ['set aside', 'dismissed'],
]);

/** Reads a line of the tidy form, given the step it stands under; `null` when it is ordinary writing. */
export function readTidy(line: string, under: Step | null, inSection: boolean): Tidy | null {
  const heading = /^(#{1,3}) (.*)$/su.exec(line);
  if (heading) return tidyHeading(itemAt(heading, 1).length, itemAt(heading, 2));
  const said = /^> (.*?)(?: ?\(pause (\d+(?:\.\d+)?(?:e[+-]?\d+)?) s(?:, ([a-z]+))?\))?$/su.exec(line);
  if (said) {
    const [, text = '', pause, layer] = said;
    return {
      what: 'said',
      text: unescapeText(text),
      pauseSeconds: pause === undefined ? 1.5 : Number(pause),
      layer: layer === undefined ? null : wordOf(LAYERS, layer),
    };
  }
  if (isMovement(under)) {
    const phase = tidyPhase(line);
    if (phase) return { what: 'phase', phase };
  }
  const setting = /^([a-z][a-z ]*):(?: (.*))?$/su.exec(line);
  if (!setting) return null;
  const [, written = '', value = ''] = setting;
  const key = OLDER_KEYS.get(written) ?? written;
  if (under !== null) {
    const field = contractOf(under).settings.find((one) => one.key === key);
    return field ? { what: 'step-field', field, value } : null;
  }
  if (inSection) {
    const field = SECTION_FIELDS.find((one) => one.key === key);
    return field ? { what: 'section-field', field, value } : null;
  }
  if (key === 'length' || key === 'theme' || key === 'dismissed') return { what: key, text: value };
  const field = PLAN_FIELDS.find((one) => one.key === key);
  return field ? { what: 'plan', field, value } : null;
}

function tidyHeading(depth: number, text: string): Tidy | null {
  if (depth === 1) return { what: 'title', text: unescapeText(text) };
  if (depth === 2) {
    const match = /^(.*) \[([a-z]+)\]$/su.exec(text);
    const role = match && wordOf(SECTION_ROLES, itemAt(match, 2));
    return match && role ? { what: 'section', text: unescapeText(itemAt(match, 1)), role } : null;
  }
  const match = /^([a-z]+): (.*)$/su.exec(text);
  const kind = match && wordOf(STEP_KINDS, itemAt(match, 1));
  return match && kind ? { what: 'step', kind, text: unescapeText(itemAt(match, 2)) } : null;
}

/** `inhale share 0.4 4 s lead 0.5 s: action | full | short | breath`. */
function tidyPhase(line: string): Omit<Phase, 'id'> | null {
  const match =
    /^(inhale|exhale|hold|free|in|out|rest)(?: share (\d+(?:\.\d+)?(?:e[+-]?\d+)?))?(?: (\d+(?:\.\d+)?(?:e[+-]?\d+)?) s)?(?: lead (\d+(?:\.\d+)?(?:e[+-]?\d+)?) s)?: (.*)$/su.exec(
      line,
    );
  if (!match) return null;
  const parts = splitBars(itemAt(match, 5)).map(unescapeText);
  if (parts.length !== 4) return null;
  const [action, full, short, breath] = firstItems(parts, 4);
  return {
    kind: wordOf(PHASE_KINDS, itemAt(match, 1)) ?? 'free',
    share: match[2] === undefined ? null : Number(match[2]),
    seconds: match[3] === undefined ? null : Number(match[3]),
    leadSeconds: match[4] === undefined ? null : Number(match[4]),
    action,
    full,
    short,
    breath,
  };
}
