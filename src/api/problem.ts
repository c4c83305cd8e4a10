import type { Issue } from '@/core/units';

/** An error as it travels: RFC 9457, with our code and, for documents, every problem at its place. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: string;
  readonly issues?: readonly Issue[];
}

export const PROBLEM_TYPE = 'application/problem+json';
