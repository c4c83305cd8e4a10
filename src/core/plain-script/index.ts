export { LINE_KINDS, SCRIPT_LIMITS, type Counts, type LineKind, type ReadLine, type ReadScript } from './model/model';
export { withoutMark } from './line-kinds/headings';
export { readScript } from './read';
export { likelyKinds, readTypedStep, stepTyped, withWritten, type TypedStep } from './typed-step';
export { writeScript } from './tidy-form/write';
