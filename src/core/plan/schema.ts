import { lazy, type AnySchema } from 'yup';
import {
  id,
  list,
  ONE_LINE,
  oneOf,
  shape,
  text,
  title,
  whole,
  within,
  boolean,
  type Stored,
  type StoredFields,
} from '@/core/document';
import { SECTION_ROLES } from '@/core/movement';
import { BELLIES, BREATH_WAYS, CIRCLE_STYLES, COUNTINGS, OUT_BREATHS, ROUND_STYLES, SIDE_STYLES } from '@/core/words';
import { FIT_WAYS } from './fit-ways';
import { LIMITS } from './limits';
import { PLAN_FORMAT, PLAN_VERSION } from './migrate';
import { STEP_KINDS, type Step, type StepKind } from './steps';
import { namedFields } from './steps/common';
import { STEP_SCHEMAS } from './steps/schemas';
import { voiceSchema } from './voice';

/*
 * The shape of a plan at the door; the types are read off it, and `docs/plan.schema.json` is written from it.
 */

const noKind = shape({ kind: oneOf(STEP_KINDS) }).noUnknown(false);
const schemas: Readonly<Record<StepKind, AnySchema>> = STEP_SCHEMAS;

function isKind(kind: unknown): kind is StepKind {
  return typeof kind === 'string' && Object.hasOwn(schemas, kind);
}

/** Each step by the schema of its own kind. */
export const stepSchema = lazy((value: unknown) => {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return isKind(kind) ? schemas[kind] : noKind;
}).meta({ oneOf: STEP_KINDS.map((kind) => schemas[kind]) });

const sectionFields = {
  id: id(),
  role: oneOf(SECTION_ROLES),
  title: title(LIMITS.titleCharacters),
  /** Breath here over the opening breath, in hundredths, in place of the class's profile; `null` follows it. */
  paceMultiplier: within(LIMITS.paceMultiplier).nullable(),
  /** Share of a breath that goes in here; `null` follows the class's profile. */
  inhaleShare: within(LIMITS.inhaleShare).nullable(),
};
const sectionSchema = shape({ ...sectionFields, steps: list(stepSchema, LIMITS.stepsInSection) });
export interface Section extends StoredFields<typeof sectionFields> {
  readonly steps: readonly Step[];
}

/** What one length keeps for a step whatever the fit would choose; a `null` is left to the fit. */
const lengthPinSchema = shape({
  stepId: id(),
  skipped: boolean().nullable(),
  rounds: whole(1, LIMITS.rounds).nullable(),
  seconds: within(LIMITS.countedSeconds).nullable(),
});
export type LengthPin = Stored<typeof lengthPinSchema>;

/** Another length of the same class: a target with pins of its own. What it holds is fitted anew from the source. */
const lengthSchema = shape({
  ...namedFields,
  targetSeconds: within(LIMITS.targetSeconds),
  way: oneOf(FIT_WAYS),
  /** The opening breath it keeps; `null` is left to the fit. */
  breathSeconds: within(LIMITS.breathSeconds).nullable(),
  pins: list(lengthPinSchema, LIMITS.stepsInPlan),
});
export type Length = Stored<typeof lengthSchema>;

const paceSchema = shape({
  /** The opening breath, in seconds, as fitted; a whole tenth. */
  breathSeconds: within(LIMITS.breathSeconds),
  preferredBreathSeconds: within(LIMITS.breathSeconds),
  minBreathSeconds: within(LIMITS.breathSeconds),
  maxBreathSeconds: within(LIMITS.breathSeconds),
  /** Closing breath over opening breath. */
  closingRatio: within(LIMITS.closingRatio),
  /** Share of a breath that goes in at the opening, for phases that set none of their own. */
  inhaleShare: within(LIMITS.inhaleShare),
  closingInhaleShare: within(LIMITS.inhaleShare),
  /** How breath and share go from opening to closing. */
  curve: oneOf(['straight', 'eased'] as const),
  pinned: boolean(),
});
export type PlanPace = Stored<typeof paceSchema>;

/** A finding that was looked at and set aside, with why. */
const dismissedSchema = shape({
  /** The check's name. */
  check: title(LIMITS.idCharacters),
  /** `null` where the finding is about the whole class. */
  stepId: id().nullable(),
  /** What tells this finding from others of the check in the step; may be empty. */
  detail: text(LIMITS.detailCharacters),
  reason: text(LIMITS.noteCharacters),
});
export type Dismissed = Stored<typeof dismissedSchema>;

const style = shape({
  counting: oneOf(COUNTINGS),
  sides: oneOf(SIDE_STYLES),
  leftMark: text(LIMITS.titleCharacters, ONE_LINE),
  rightMark: text(LIMITS.titleCharacters, ONE_LINE),
  circles: oneOf(CIRCLE_STYLES),
  breath: oneOf(BREATH_WAYS),
  belly: oneOf(BELLIES),
  outBreath: oneOf(OUT_BREATHS),
  rounds: oneOf(ROUND_STYLES),
  holdLine: text(LIMITS.lineCharacters),
});

const theme = shape({
  ...namedFields,
  words: list(
    shape({ plain: title(LIMITS.titleCharacters), themed: text(LIMITS.titleCharacters, ONE_LINE) }),
    LIMITS.themeWords,
  ),
});

const planFields = {
  format: oneOf([PLAN_FORMAT]),
  version: oneOf([PLAN_VERSION]),
  title: title(LIMITS.titleCharacters),
  focus: text(LIMITS.noteCharacters),
  audience: text(LIMITS.noteCharacters),
  targetSeconds: within(LIMITS.targetSeconds),
  /** How far from its target the class may land at a small cost, in seconds; `null` takes the usual, see `landing.ts`. */
  landingSeconds: within(LIMITS.landingSeconds).nullable(),
  pace: paceSchema,
  voice: voiceSchema,
  /** Each edit refits what is not pinned. */
  keepOnTarget: boolean(),
  /** Each edit fits the words of the movement it changes. */
  keepWordsFitted: boolean(),
  lengths: list(lengthSchema, LIMITS.lengths),
  style,
  /** Share of a movement's counted time that should have no words in it; fitting the words keeps it. */
  silenceShare: within(LIMITS.silenceShare),
  themes: list(theme, LIMITS.themes),
  /** The theme in use; `null` for plain names. */
  themeId: id().nullable(),
  dismissed: list(dismissedSchema, LIMITS.dismissed),
};

/** The Yup schema of the current document version. */
export const planSchema = shape({ ...planFields, sections: list(sectionSchema, LIMITS.sections) });

/** One class: a value that is never changed in place. */
export interface ClassPlan extends StoredFields<typeof planFields> {
  readonly sections: readonly Section[];
}
