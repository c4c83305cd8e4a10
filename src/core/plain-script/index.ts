export { LINE_KINDS, SCRIPT_LIMITS, type Counts, type LineKind, type ReadLine, type ReadScript } from './model';
export { readScript } from './read';
export { writeScript } from './write';
