export { LINE_KINDS, SCRIPT_LIMITS, type Counts, type LineKind, type ReadLine, type ReadScript } from './model';
export { withoutMark } from './headings';
export { readScript } from './read';
export { likelyKinds, readTypedStep, stepTyped, withWritten, type TypedStep } from './typed-step';
export { writeScript } from './write';
