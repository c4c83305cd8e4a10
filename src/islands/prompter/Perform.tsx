import { useEffect, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import type { Spelling } from '@/core/words';
import { send } from '@/api/client';
import { Prompter } from './Prompter';
import { useKeptPage } from './use-kept-page';

interface Props {
  readonly stored: ClassResponse;
  readonly spelling: Spelling;
}

/** How often the server is asked whether the class was changed meanwhile; the performance does not wait for it. */
const ASK_MILLISECONDS = 60_000;

/** A class performed at an address of its own. It goes on with the plan that it was opened with. */
export function Perform({ stored, spelling }: Props) {
  const [revision, setRevision] = useState(stored.revision);
  const { id } = stored;
  useKeptPage();
  useEffect(() => {
    const ask = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      const answer = await send<ClassResponse>('GET', `/api/classes/${id}`);
      if (answer.ok) setRevision(answer.value.revision);
    };
    const timer = setInterval(() => void ask(), ASK_MILLISECONDS);
    const seen = (): void => void ask();
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', seen);
    };
  }, [id]);
  const notice =
    revision === stored.revision
      ? ''
      : `The class was changed meanwhile. This goes on with it as it was opened (revision ${stored.revision}); reload to take the change.`;
  return (
    <Prompter
      classId={id}
      plan={stored.plan}
      spelling={spelling}
      notice={notice}
      onLeave={() => location.assign(`/classes/${id}`)}
    />
  );
}
