import { array, boolean, lazy, mixed, number, object, string, type AnySchema } from 'yup';
import { LIMITS } from './limits';
import { CAUTIONS, FORMS, PLAN_FORMAT, PLAN_VERSION, SECTION_ROLES, SIDE_PLANS } from './model';

/*
 * The shape of a plan at the door. `docs/plan.schema.json` says the same in JSON Schema and a test feeds both the
 * same documents. Messages are codes (`too-long:200`); sentences live in `src/messages`. Values are never coerced.
 */

/** Text without control characters or broken surrogates, which neither files nor the database can hold. */
const CLEAN_TEXT = /^[^\u0000-\u0008\u000B\u000C\u000E-\u001F\uD800-\uDFFF]*$/u;
const ONE_LINE = /^[^\u0000-\u001F\uD800-\uDFFF]*$/u;
const ID = /^[A-Za-z0-9_-]{1,64}$/;

function text(most: number, pattern = CLEAN_TEXT) {
  return string()
    .strict()
    .defined('missing')
    .nonNullable('missing')
    .typeError('not-text')
    .test('length', `too-long:${most}`, (value) => value.length <= most || [...value].length <= most)
    .matches(pattern, { message: 'bad-characters', excludeEmptyString: true });
}

function title() {
  return text(LIMITS.titleCharacters, ONE_LINE).test('empty', 'empty', (value) => value.trim() !== '');
}

function id() {
  return string().strict().defined('missing').nonNullable('missing').typeError('not-text').matches(ID, 'bad-id');
}

function within(bounds: { readonly least: number; readonly most: number }) {
  return number()
    .strict()
    .defined('missing')
    .nonNullable('not-number')
    .typeError('not-number')
    .min(bounds.least, `out-of-range:${bounds.least}:${bounds.most}`)
    .max(bounds.most, `out-of-range:${bounds.least}:${bounds.most}`);
}

function whole(least: number, most: number) {
  return within({ least, most }).integer('not-whole');
}

function oneOf<Value extends string | number>(values: readonly Value[]) {
  return mixed<Value>()
    .defined('missing')
    .oneOf(values, `not-one-of:${values.join(' ')}`);
}

function yesNo() {
  return boolean().strict().defined('missing').nonNullable('not-yes-no').typeError('not-yes-no');
}

function list<Item extends AnySchema>(of: Item, most: number, least = 0) {
  return array()
    .of(of)
    .strict()
    .defined('missing')
    .nonNullable('not-list')
    .typeError('not-list')
    .min(least, `too-few:${least}`)
    .max(most, `too-many:${most}`);
}

function shape<Fields extends Record<string, AnySchema>>(fields: Fields) {
  return object(fields)
    .strict()
    .default(undefined)
    .defined('missing')
    .nonNullable('not-object')
    .typeError('not-object')
    .noUnknown(({ unknown }: { unknown: string }) => `unknown-field:${String(unknown).slice(0, 80)}`);
}

const spokenLine = shape({
  id: id(),
  text: text(LIMITS.lineCharacters),
  pauseSeconds: within(LIMITS.pauseSeconds),
});

const phase = shape({
  id: id(),
  kind: oneOf(['in', 'out', 'rest', 'free'] as const),
  share: within(LIMITS.share).nullable(),
  seconds: within(LIMITS.phaseSeconds).nullable(),
  action: text(LIMITS.titleCharacters),
  full: text(LIMITS.lineCharacters),
  short: text(LIMITS.lineCharacters),
  breath: text(LIMITS.lineCharacters),
});

const movement = shape({
  kind: oneOf(['movement'] as const),
  id: id(),
  name: title(),
  traditionalName: text(LIMITS.titleCharacters, ONE_LINE),
  sides: oneOf(SIDE_PLANS),
  startSide: oneOf(['left', 'right'] as const),
  pattern: list(phase, LIMITS.phases, 1),
  rounds: whole(1, LIMITS.rounds),
  preferredRounds: whole(1, LIMITS.rounds),
  leastRounds: whole(1, LIMITS.rounds),
  mostRounds: whole(1, LIMITS.rounds),
  multiple: whole(1, LIMITS.rounds),
  pinned: yesNo(),
  paceMultiplier: within(LIMITS.paceMultiplier),
  teach: list(spokenLine, LIMITS.spokenLines),
  fade: list(oneOf(FORMS), LIMITS.fade, 1),
  lastRoundLine: text(LIMITS.lineCharacters),
  sideChangeLine: text(LIMITS.lineCharacters),
  sideChangeSeconds: within({ least: 0, most: LIMITS.phaseSeconds.most }),
  cautions: list(oneOf(CAUTIONS), CAUTIONS.length),
});

const talk = shape({
  kind: oneOf(['talk'] as const),
  id: id(),
  name: title(),
  lines: list(spokenLine, LIMITS.spokenLines),
});

const quiet = shape({
  kind: oneOf(['quiet'] as const),
  id: id(),
  name: title(),
  seconds: within(LIMITS.quietSeconds),
  preferredSeconds: within(LIMITS.quietSeconds),
  leastSeconds: within(LIMITS.quietSeconds),
  mostSeconds: within(LIMITS.quietSeconds),
  pinned: yesNo(),
  eyesClosed: yesNo(),
  openingLine: text(LIMITS.lineCharacters),
  callBackLine: text(LIMITS.lineCharacters),
});

const transition = shape({
  kind: oneOf(['transition'] as const),
  id: id(),
  name: title(),
  seconds: within({ least: 0, most: LIMITS.phaseSeconds.most }),
  line: text(LIMITS.lineCharacters),
});

const stepSchemas: Readonly<Record<string, AnySchema>> = { movement, talk, quiet, transition };
const noKind = shape({ kind: oneOf(['movement', 'talk', 'quiet', 'transition'] as const) }).noUnknown(false);

const step = lazy((value: unknown) => {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return (typeof kind === 'string' && Object.hasOwn(stepSchemas, kind) && stepSchemas[kind]) || noKind;
});

const section = shape({
  id: id(),
  role: oneOf(SECTION_ROLES),
  title: title(),
  steps: list(step as unknown as AnySchema, LIMITS.stepsInSection),
});

/** The Yup schema of the current document version. */
export const planSchema = shape({
  format: oneOf([PLAN_FORMAT]),
  version: oneOf([PLAN_VERSION]),
  title: title(),
  focus: text(LIMITS.noteCharacters),
  audience: text(LIMITS.noteCharacters),
  targetSeconds: within(LIMITS.targetSeconds),
  pace: shape({
    breathSeconds: within(LIMITS.breathSeconds),
    preferredBreathSeconds: within(LIMITS.breathSeconds),
    leastBreathSeconds: within(LIMITS.breathSeconds),
    mostBreathSeconds: within(LIMITS.breathSeconds),
    closingRatio: within(LIMITS.closingRatio),
    inShare: within(LIMITS.inShare),
    pinned: yesNo(),
  }),
  voice: shape({
    syllablesPerMinute: within(LIMITS.syllablesPerMinute),
    leadSeconds: within(LIMITS.leadSeconds),
  }),
  sections: list(section, LIMITS.sections),
});
