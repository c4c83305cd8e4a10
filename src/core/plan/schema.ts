import { lazy, type AnySchema } from 'yup';
import { id, list, ONE_LINE, oneOf, oneOfOrNone, shape, text, title, whole, within, yesNo } from '@/core/document';
import { contentFields, PRIORITIES, SECTION_ROLES, spokenLineSchema, STANCES } from '@/core/movement';
import {
  BELLIES,
  BREATH_WAYS,
  CIRCLE_SCHOOLS,
  COUNTINGS,
  OUT_BREATHS,
  ROUND_SCHOOLS,
  SIDE_SCHOOLS,
} from '@/core/words';
import { LIMITS } from './limits';
import { COMPANIONS, FIT_WAYS, INTROS, PLAN_FORMAT, PLAN_VERSION, VIEWS } from './model';

/*
 * The shape of a plan at the door. `docs/plan.schema.json` says the same in JSON Schema and a test feeds both the
 * same documents.
 */

const named = { id: id(), name: title(LIMITS.titleCharacters) };
const choice = { pinned: yesNo(), leftOut: yesNo() };
const accompanying = { goesWith: oneOf(COMPANIONS), priority: oneOf(PRIORITIES) };

const movement = shape({
  kind: oneOf(['movement'] as const),
  id: id(),
  ...contentFields,
  ...choice,
  rounds: whole(1, LIMITS.rounds),
  seconds: within(LIMITS.quietSeconds),
  view: oneOf(VIEWS),
  intro: oneOf(INTROS),
  source: shape({ movementId: id(), revision: whole(1, Number.MAX_SAFE_INTEGER) }).nullable(),
});

const talk = shape({
  kind: oneOf(['talk'] as const),
  ...named,
  ...choice,
  ...accompanying,
  lines: list(spokenLineSchema, LIMITS.spokenLines),
  tempo: within(LIMITS.tempo),
  leastTempo: within(LIMITS.tempo),
  mostTempo: within(LIMITS.tempo),
  caution: yesNo(),
});

const quiet = shape({
  kind: oneOf(['quiet'] as const),
  ...named,
  ...choice,
  ...accompanying,
  seconds: within(LIMITS.quietSeconds),
  preferredSeconds: within(LIMITS.quietSeconds),
  leastSeconds: within(LIMITS.quietSeconds),
  mostSeconds: within(LIMITS.quietSeconds),
  stance: oneOfOrNone(STANCES),
  eyesClosed: yesNo(),
  openingLine: text(LIMITS.lineCharacters),
  reassuranceLine: text(LIMITS.lineCharacters),
  reassuranceEverySeconds: within(LIMITS.reassuranceSeconds),
  callBackLine: text(LIMITS.lineCharacters),
  callBackLeadSeconds: within(LIMITS.callBackLeadSeconds),
});

const transition = shape({
  kind: oneOf(['transition'] as const),
  ...named,
  ...choice,
  ...accompanying,
  seconds: within({ least: 0, most: LIMITS.phaseSeconds.most }),
  line: text(LIMITS.lineCharacters),
  stance: oneOfOrNone(STANCES),
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
  title: title(LIMITS.titleCharacters),
  paceMultiplier: within(LIMITS.paceMultiplier).nullable(),
  inShare: within(LIMITS.inShare).nullable(),
  steps: list(step as unknown as AnySchema, LIMITS.stepsInSection),
});

const length = shape({
  ...named,
  targetSeconds: within(LIMITS.targetSeconds),
  way: oneOf(FIT_WAYS),
  breathSeconds: within(LIMITS.breathSeconds).nullable(),
  pins: list(
    shape({
      stepId: id(),
      leftOut: yesNo().nullable(),
      rounds: whole(1, LIMITS.rounds).nullable(),
      seconds: within(LIMITS.quietSeconds).nullable(),
    }),
    LIMITS.stepsInPlan,
  ),
});

const schools = shape({
  counting: oneOf(COUNTINGS),
  sides: oneOf(SIDE_SCHOOLS),
  leftMark: text(LIMITS.titleCharacters, ONE_LINE),
  rightMark: text(LIMITS.titleCharacters, ONE_LINE),
  circles: oneOf(CIRCLE_SCHOOLS),
  breath: oneOf(BREATH_WAYS),
  belly: oneOf(BELLIES),
  outBreath: oneOf(OUT_BREATHS),
  rounds: oneOf(ROUND_SCHOOLS),
  restLine: text(LIMITS.lineCharacters),
});

const theme = shape({
  ...named,
  words: list(
    shape({ plain: title(LIMITS.titleCharacters), themed: text(LIMITS.titleCharacters, ONE_LINE) }),
    LIMITS.themeWords,
  ),
});

/** The Yup schema of the current document version. */
export const planSchema = shape({
  format: oneOf([PLAN_FORMAT]),
  version: oneOf([PLAN_VERSION]),
  title: title(LIMITS.titleCharacters),
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
    closingInShare: within(LIMITS.inShare),
    curve: oneOf(['straight', 'eased'] as const),
    pinned: yesNo(),
  }),
  voice: shape({
    syllablesPerMinute: within(LIMITS.syllablesPerMinute),
    leadSeconds: within(LIMITS.leadSeconds),
    pauseSeconds: within(LIMITS.habitSeconds),
  }),
  keepOnTarget: yesNo(),
  keepWordsFitted: yesNo(),
  lengths: list(length, LIMITS.lengths),
  schools,
  silenceShare: within(LIMITS.silenceShare),
  themes: list(theme, LIMITS.themes),
  themeId: id().nullable(),
  setAside: list(
    shape({
      check: title(LIMITS.idCharacters),
      stepId: id().nullable(),
      detail: text(LIMITS.detailCharacters),
      reason: text(LIMITS.noteCharacters),
    }),
    LIMITS.setAside,
  ),
  sections: list(section, LIMITS.sections),
});
