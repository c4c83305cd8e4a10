export type { ClassPlan, Dismissed, Length, LengthPin, PlanPace, Section } from './schema';
export { FIT_WAYS, type FitWay } from './fit-ways';
export { areNeighbours, blockEdit, blockOf } from './blocks';
export { stepsInOrder } from './order';
export {
  blocksOf,
  findPerformed,
  performedIn,
  performedSteps,
  secondPassId,
  sourceStepId,
  timesPerformed,
  type PerformedStep,
} from './performed';
export { type PlanVoice } from './voice';
export { planJsonSchema } from './json-schema';
export { LIMITS } from './limits';
export { clamped } from './steps/bounds';
export { ask, askRounds, askTime, breathAsked, roundsAsked } from './ask';
export {
  blankStep,
  contractOf,
  isMovement,
  isSilence,
  isTalk,
  makeMovement,
  makeSilence,
  makeStep,
  makeTalk,
  makeTransition,
  STEP_KINDS,
  stepOf,
  type MovementStep,
  type SilenceStep,
  type Step,
  type StepKind,
  type StepOf,
  type TalkStep,
  type TransitionStep,
} from './steps';
export { COMPANIONS, type Companion } from './steps/companions';
export {
  type Moment,
  type PlacedLine,
  type StepPace,
  type StepWish,
  type StepWriter,
  type Stretch,
  type Tempo,
  type Turn,
} from './steps/contract';
export {
  countMilliseconds,
  countsMilliseconds,
  patternOn,
  roundsFilling,
  teachMilliseconds,
} from './steps/movement/durations';
export { lineAt } from './steps/movement/lines';
export { INTROS, VIEWS, type Intro } from './steps/movement/choices';
export { announcementOf, countOf, sidesOf, turnsOf } from './steps/movement/turns';
export { numbersIn, wordOf, type Setting } from './steps/settings';
export { timeAround } from './steps/timed';
export { withLastPause } from './steps/speech';
export { placeName, type CueSource, type StepText } from './steps/text-place';
export { copyPlan, copySection, copyStep, emptyPlan, makeLength, makeSection, USUAL_SECTIONS } from './make';
export { companionsOf, skipEdit, maySkip } from './skips';
export {
  applyEdit,
  findStep,
  planAfter,
  setFields,
  setPlan,
  setSection,
  setStep,
  type Applied,
  type Edit,
  type EditProblem,
} from './edit';
export { landingSecondsOf } from './landing';
export { comparePlans, type PlanChange } from './compare';
export { planAtLength, withLengthPin } from './lengths';
export { checkSince6 } from './migrate';
export { readPlan, readPlanText, upToDate, writePlanText } from './read';
export { planMilliseconds, stepMilliseconds, stepPaces } from './durations';
export { arrivalAt, fillGapsEdit, leadsOn, stanceGaps, stancesOf, transitionFor, type StanceGap } from './stances';
export { changePlanTexts, changeTexts, rewordEdit, saidTextsOf, textsOf, type Reworded } from './texts';
