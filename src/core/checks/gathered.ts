import type { Finding } from './model';

/** One thing found, in every place where it is: what the same check says of the same matter. */
export interface Gathered {
  /** The first of them. */
  readonly finding: Finding;
  /** All of them, in the order of the class. */
  readonly all: readonly Finding[];
}

/** What a finding is about: the same check of the same caution or term. Another caution is another matter. */
export function kindOf({ check, facts }: Pick<Finding, 'check' | 'facts'>): string {
  return [check, facts.caution, facts.term].join(' ');
}

/** Findings with what is the same in many places put together, in the order in which each first comes. */
export function gathered(findings: readonly Finding[]): Gathered[] {
  const kinds = new Map<string, Finding[]>();
  for (const finding of findings) {
    const known = kinds.get(kindOf(finding));
    if (known) known.push(finding);
    else kinds.set(kindOf(finding), [finding]);
  }
  return [...kinds.values()].flatMap((all) => (all[0] ? [{ finding: all[0], all }] : []));
}
