export * from './vocabulary';
export { MOVEMENT_LIMITS } from './limits';
export {
  CONTENT_FIELDS,
  contentOf,
  copyContent,
  makeContent,
  makeDuring,
  makeLibraryMovement,
  makePhase,
  NO_MOMENTS,
  NO_SHORTS,
  spokenLines,
} from './make';
export { contentSince2, contentSince3, contentSince4, contentSince5, movementUpToDate } from './migrate';
export { readMovement, readMovementText } from './read';
export { checkContent } from './relations';
export { phasesOn, settledFrom } from './rounds';
export {
  contentFields,
  duringLineSchema,
  spokenLineSchema,
  type DuringLine,
  type Level,
  type Moments,
  type Movement,
  type MovementContent,
  type Phase,
  type SpokenLine,
} from './schema';
export {
  addPhase,
  joinPhases,
  lengthenPhase,
  moveBorder,
  movePhase,
  presetPattern,
  removePhase,
  splitPhase,
} from './pattern-edits';
export { differingFields, passes, summaryOf, type MovementFilter, type MovementSummary } from './summary';
