import { SAVE_WORDS } from '@/messages/saving';
import { IssueList } from '@/ui/parts/IssueList';
import { useDesk } from '../use-desk';

/** Whether what is on the screen is on the server. */
export function SaveMark() {
  const save = useDesk((state) => state.save);
  const trouble = save.kind === 'away' || save.kind === 'refused' || save.kind === 'conflict';
  return (
    <span role="status" className={`text-sm ${trouble ? 'text-accent font-semibold' : 'quiet-ink'}`}>
      {SAVE_WORDS[save.kind]}
      {save.kind === 'refused' && <IssueList issues={save.issues} shown={3} />}
    </span>
  );
}
