import { ValidationError, type AnySchema } from 'yup';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { ISSUES_AT_MOST, JUDGING } from './fields';
import { tooBig } from './size';

/** Values in one file; the largest plan has a fifth of it. */
const FILE_VALUES = 1_000_000;

/** Judges a value by a schema made of the fields here: the value itself, or every problem at its place. */
export function judge(raw: unknown, schema: AnySchema): Result<unknown, readonly Issue[]> {
  try {
    schema.validateSync(raw, JUDGING);
  } catch (error) {
    if (error instanceof ValidationError) return failed(issuesOf(error));
    throw error;
  }
  return ok(raw);
}

/** Reads the JSON of a file: without a byte order mark, at most `most` characters. */
export function readJson(text: string, max: number): Result<unknown, Issue> {
  if (text.length > max) return failed({ code: 'too-large', at: '', facts: { megabytes: max / 1024 / 1024 } });
  if (text.trim() === '') return failed({ code: 'empty-file', at: '', facts: {} });
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return failed({ code: 'not-json', at: '', facts: {} });
  }
  const crowded = tooBig(document, FILE_VALUES);
  return crowded ? failed(crowded) : ok(document);
}

function issuesOf(error: ValidationError): Issue[] {
  const inner = error.inner.length > 0 ? error.inner : [error];
  const issues: Issue[] = [];
  const seen = new Set<string>();
  for (const { path, message } of inner) {
    const [code = '', ...facts] = message.split(':');
    const key = `${path ?? ''} ${code}`;
    if (seen.has(key)) continue;
    seen.add(key);
    issues.push({ code, at: path ?? '', facts: Object.fromEntries(facts.map((fact, index) => [`f${index}`, fact])) });
    if (issues.length >= ISSUES_AT_MOST) break;
  }
  return issues;
}
