import type { Issue } from '@/core/units';
import { issueText } from '@/messages/issues';

/** What is wrong or odd with a thing, place by place; the first dozen, and how many more. */
export function IssueList({ issues, shown = 12 }: { readonly issues: readonly Issue[]; readonly shown?: number }) {
  return (
    <ul className="my-2 list-disc pl-5 text-sm">
      {issues.slice(0, shown).map((issue, index) => (
        <li key={index}>{issueText(issue)}</li>
      ))}
      {issues.length > shown && <li>and {issues.length - shown} more</li>}
    </ul>
  );
}
