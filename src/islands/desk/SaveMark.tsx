import { IssueList } from '@/ui/parts/IssueList';
import { useDesk } from './use-desk';

const WORDS = {
  saved: 'Saved',
  waiting: 'Saving',
  saving: 'Saving',
  away: 'Kept in this browser; the server is away',
  refused: 'Not saved',
  conflict: 'Not saved',
} as const;

/** Whether what is on the screen is on the server. */
export function SaveMark() {
  const save = useDesk((state) => state.save);
  const trouble = save.kind === 'away' || save.kind === 'refused' || save.kind === 'conflict';
  return (
    <span role="status" className={`text-sm ${trouble ? 'text-accent font-semibold' : 'quiet-ink'}`}>
      {WORDS[save.kind]}
      {save.kind === 'refused' && <IssueList issues={save.issues} shown={3} />}
    </span>
  );
}
