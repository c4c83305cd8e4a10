export { linesAfter, linesBefore, type AroundLine } from './around';
export * from './model';
export { LIMITS } from './limits';
export {
  copyPlan,
  copySection,
  copyStep,
  emptyPlan,
  makeLength,
  makeMovement,
  makeQuiet,
  makeSection,
  makeStep,
  makeTalk,
  makeTransition,
  SECTION_TITLES,
  USUAL_SECTIONS,
  stepOf,
} from './make';
export { companionsOf, leaveOutEdit, mayLeaveOut } from './leave-out';
export {
  applyEdit,
  findStep,
  planAfter,
  type Applied,
  type Edit,
  type EditProblem,
  type PlanField,
  type SectionField,
} from './edit';
export { comparePlans, type PlanChange } from './compare';
export { planAtLength, withLengthPin } from './lengths';
export { readPlan, readPlanText, upToDate, writePlanText } from './read';
export {
  aroundMilliseconds,
  countMilliseconds,
  lineMilliseconds,
  aroundLineMilliseconds,
  sideChangeText,
  movementRoundMilliseconds,
  ownMilliseconds,
  ownWordsMilliseconds,
  plainTalkMilliseconds,
  planMilliseconds,
  quietMilliseconds,
  quietWordsMilliseconds,
  roundsFilling,
  roundsOf,
  sideChangeMilliseconds,
  teachMilliseconds,
  sidesInTurn,
  stepMilliseconds,
  stepPaces,
  talkMilliseconds,
  transitionMilliseconds,
  type StepPace,
} from './durations';
export { fillGapsEdit, stanceGaps, transitionFor, type StanceGap } from './stances';
export {
  changePlanTexts,
  changeTexts,
  lineIn,
  placeName,
  rewordEdit,
  textsOf,
  type Reworded,
  type StepText,
  type TextPlace,
} from './texts';
export { stancesOf } from './stances';
