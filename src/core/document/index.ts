export {
  id,
  instant,
  ISSUES_AT_MOST,
  list,
  ONE_LINE,
  oneOf,
  oneOfOrNone,
  record,
  shape,
  text,
  title,
  whole,
  within,
  yesNo,
} from './fields';
export { judge, readJson } from './judge';
export { tooBig } from './size';
export { type Json, type NewId } from './json';
export { sameDocument } from './same';
