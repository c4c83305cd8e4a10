export { id, list, ONE_LINE, oneOf, oneOfOrNone, shape, text, title, whole, within, yesNo } from './fields';
export { ISSUES_AT_MOST, judge, readJson } from './judge';
export { type Json, type NewId } from './json';
export { sameDocument } from './same';
