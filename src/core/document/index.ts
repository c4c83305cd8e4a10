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
  type Stored,
  type StoredFields,
  text,
  title,
  whole,
  within,
  boolean,
} from './fields';
export { jsonSchemaOf, type JsonSchema } from './json-schema';
export { judge, readJson } from './judge';
export { tooBig } from './size';
export { type NewId } from './json';
export { sameDocument } from './same';
export { escapeText, splitBars, unescapeText } from './escape';
export { partOf, pick, type FieldAndValue } from './part';
export { asDoc, renamedFields, type Doc } from './older';
