import { FileAudio } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import type { ListedTake } from '@/api/takes';
import type { Term } from '@/core/words';
import { AppHead } from '@/ui/layout/AppHead';
import { Dialog } from '@/ui/parts/Dialog';
import { IssueList } from '@/ui/parts/IssueList';
import { Waiting } from '@/ui/parts/Waiting';
import { savedRuns } from '../prompter/saved-runs';
import { RecordedHere } from '../recording/RecordedHere';
import { recordingFile } from '../recording/store';
import { runOf } from '../recording/with-log';
import { AddFiles, logFile, NOTHING_CHOSEN } from './AddFiles';
import { StepsOfLog } from './StepsPerformed';
import { TakeList } from './TakeList';
import { DOING, useAnalysis, wholeShare } from './use-analysis';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly takes: readonly ListedTake[];
  /** Terms of the studio, for what machines mishear. */
  readonly ownTerms: readonly Term[];
}

/** The takes of a class, and a place to add one. */
export function Takes({ studio, stored, takes, ownTerms }: Props) {
  const [chosen, setChosen] = useState(NOTHING_CHOSEN);
  const [runs] = useState(() => savedRuns(stored.id));
  const { progress, problem, saved, analyse, cancel } = useAnalysis(stored, ownTerms);
  const analyseRecorded = async (id: string): Promise<void> => {
    const recorded = await recordingFile(id);
    if (!recorded) return;
    const found = runOf(recorded.meta);
    const files = { ...NOTHING_CHOSEN, sound: recorded.file };
    const next = found ? { ...files, words: logFile(found.run), logStart: found.startSeconds } : files;
    setChosen(next);
    await analyse(next);
  };
  useAsked(analyseRecorded);
  return (
    <div className="mx-auto max-w-6xl px-5 py-2 max-sm:px-3">
      <AppHead studio={studio} trail={[{ href: `/classes/${stored.id}`, words: stored.plan.title }]} title="Takes" />
      <main id="main" tabIndex={-1}>
        <section aria-label="Add a take" className="bg-base-100 border-base-300 mb-8 rounded border p-5 max-sm:p-3">
          <h2 className="mb-1 text-lg font-semibold">Add a take</h2>
          <p className="mb-4">
            Choose a recording, automatic captions of it or the prompter’s log, or several of these. The recording stays
            on this computer. Saved are what the analysis found and a small audio proxy, to correct cues by ear.
          </p>
          <AddFiles chosen={chosen} onChange={setChosen} runs={runs} />
          {chosen.words && <StepsOfLog plan={stored.plan} words={chosen.words} />}
          {!progress && <RecordedHere classId={stored.id} onUse={(id) => void analyseRecorded(id)} />}
          {progress ? (
            <div className="mt-4">
              <Waiting
                doing={DOING[progress.doing]}
                share={progress.doing === 'waiting' ? null : wholeShare(progress)}
                onCancel={cancel}
              />
            </div>
          ) : (
            <button type="button" className="btn btn-primary mt-4" onClick={() => void analyse(chosen)}>
              <FileAudio size={16} aria-hidden />
              Analyse the take
            </button>
          )}
          {problem && (
            <div role="alert" className="border-error mt-4 border-l-4 pl-3">
              <p className="text-error font-semibold">{problem.title}</p>
              <IssueList issues={problem.issues} />
            </div>
          )}
        </section>
        <h2 className="mb-2 text-lg font-semibold">Takes</h2>
        <TakeList classId={stored.id} takes={takes} />
      </main>
      {saved && (
        <Dialog title="Analysed, with notes" onClose={() => location.assign(`/classes/${stored.id}/takes/${saved.id}`)}>
          <p>The take was analysed and saved. Please note:</p>
          <IssueList issues={saved.notes} />
          <a className="btn btn-primary" href={`/classes/${stored.id}/takes/${saved.id}`}>
            Open the take
          </a>
        </Dialog>
      )}
    </div>
  );
}

/** What the prompter recorded is analysed at once where it is asked for in the address (`?recorded=`). */
function useAsked(analyse: (id: string) => Promise<void>): void {
  const asked = useRef(false);
  const latest = useRef(analyse);
  useEffect(() => {
    latest.current = analyse;
  });
  useEffect(() => {
    const id = new URLSearchParams(location.search).get('recorded');
    if (id === null || asked.current) return;
    asked.current = true;
    // A reload does not do it again.
    history.replaceState(null, '', location.pathname);
    void latest.current(id);
  }, []);
}
