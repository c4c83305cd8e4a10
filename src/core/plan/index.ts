export * from './model';
export { LIMITS } from './limits';
export {
  copyPlan,
  copySection,
  copyStep,
  emptyPlan,
  makeMovement,
  makePhase,
  makeQuiet,
  makeSection,
  makeStep,
  makeTalk,
  makeTransition,
  SECTION_TITLES,
  spokenLines,
  type NewId,
} from './make';
export { applyEdit, findStep, type Applied, type Edit, type EditProblem, type Json, type PlanField } from './edit';
export { readPlan, readPlanText, writePlanText } from './read';
export {
  lineMilliseconds,
  movementRoundMilliseconds,
  paceMultipliers,
  quietMilliseconds,
  quietWordsMilliseconds,
  sideChangeMilliseconds,
  talkMilliseconds,
  teachMilliseconds,
  transitionMilliseconds,
} from './durations';
export { sameDocument } from './same';
