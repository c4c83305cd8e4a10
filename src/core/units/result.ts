/** What an expected failure looks like: a value with a reason, never an exception. */
export type Result<Value, Problem> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problem: Problem };

export function ok<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

export function failed<Problem>(problem: Problem): { readonly ok: false; readonly problem: Problem } {
  return { ok: false, problem };
}

/**
 * Something found wrong with what came in, as a code and facts. `at` is a path into the document such as
 * `sections[0].steps[2].rounds` (empty for the whole), or a place such as `line 12` in a text file. Sentences live
 * in `src/messages`.
 */
export interface Issue {
  readonly code: string;
  readonly at: string;
  readonly facts: Readonly<Record<string, string | number>>;
}
