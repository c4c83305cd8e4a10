import { firstItems, itemAt } from '@/core/units';
import {
  DURING_SIDES,
  LAYERS,
  SECTION_ROLES,
  type DuringLine,
  type DuringPlace,
  type Layer,
  type Level,
  type Phase,
  type SectionRole,
} from '@/core/movement';
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
  | { readonly what: 'during'; readonly line: Omit<DuringLine, 'id'> }
  | { readonly what: 'level'; readonly level: Level }
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
    const level = tidyLevel(line);
    if (level) return { what: 'level', level };
  }
  const during = isMovement(under) || under?.kind === 'silence' ? tidyDuring(line) : null;
  if (during) return { what: 'during', line: during };
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

/** `level: name | note | line | line`. */
function tidyLevel(line: string): Level | null {
  const match = /^level: (.*)$/su.exec(line);
  const [name, note, ...lines] = match ? splitBars(itemAt(match, 1)).map(unescapeText) : [];
  return name === undefined || note === undefined ? null : { name, note, lines };
}

const PLACES: ReadonlyMap<string | undefined, DuringPlace> = new Map([
  [undefined, 'anywhere'],
  ['round', 'round'],
  ['every', 'every'],
  ['last', 'last'],
  ['at', 'time'],
]);

/** `over round 3, first side, arms: words`. */
function tidyDuring(line: string): Omit<DuringLine, 'id'> | null {
  const match = new RegExp(
    `^over(?: (round|every|last|at) (\\d+(?:\\.\\d+)?(?:e[+-]?\\d+)?)(?: s)?)?(?:, (first|second) side)?(?:, (${LAYERS.join('|')}))?: (.*)$`,
    'su',
  ).exec(line);
  const on = match && PLACES.get(match[1]);
  if (!match || !on) return null;
  return {
    on,
    number: Number(match[2] ?? 0),
    side: wordOf(DURING_SIDES, match[3] ?? '') ?? 'each',
    layer: wordOf(LAYERS, match[4] ?? ''),
    text: unescapeText(itemAt(match, 5)),
  };
}

/** `inhale share 0.4 4 s lead 0.5 s: action | full | short | breath`. */
function tidyPhase(line: string): Omit<Phase, 'id'> | null {
  const match =
    /^(inhale|exhale|hold|free|in|out|rest)(?: share (\d+(?:\.\d+)?(?:e[+-]?\d+)?))?(?: (\d+(?:\.\d+)?(?:e[+-]?\d+)?) s)?(?: lead (\d+(?:\.\d+)?(?:e[+-]?\d+)?) s)?(?: from round (\d+))?(?: to round (\d+))?: (.*)$/su.exec(
      line,
    );
  if (!match) return null;
  const parts = splitBars(itemAt(match, 7)).map(unescapeText);
  if (parts.length !== 4) return null;
  const [action, full, short, breath] = firstItems(parts, 4);
  return {
    kind: wordOf(PHASE_KINDS, itemAt(match, 1)) ?? 'free',
    share: match[2] === undefined ? null : Number(match[2]),
    seconds: match[3] === undefined ? null : Number(match[3]),
    leadSeconds: match[4] === undefined ? null : Number(match[4]),
    fromRound: Number(match[5] ?? 1),
    toRound: match[6] === undefined ? null : Number(match[6]),
    action,
    full,
    short,
    breath,
  };
}
