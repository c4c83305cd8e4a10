import { Check } from 'lucide-react';
import { useState } from 'react';
import { PROPOSAL_NAMES, proposalSentence } from '@/messages/learning';
import type { Proposal } from '@/core/learn';
import { formatClock } from '@/core/units';
import { PredictionChart } from './PredictionChart';
import { takeIntoClass, takeIntoLibrary, takeIntoVoice, useLearning, type Taken } from './use-learning';

interface Props {
  readonly classId: string;
  readonly names: ReadonlyMap<string, string>;
}

/** What the takes of a class teach: changes to it, taken one by one, and how well its length is foretold. */
export function Learn({ classId, names }: Props) {
  const { learning, trouble, again } = useLearning(classId);
  const [said, setSaid] = useState<Taken | null>(null);
  const [busy, setBusy] = useState(false);
  if (trouble) return <p className="text-error p-4 font-semibold">{trouble}</p>;
  if (!learning) return <p className="p-4">Comparing the takes of this class.</p>;
  const { takes, proposals, nextSeconds, predictions } = learning;
  const act = async (work: Promise<Taken>): Promise<void> => {
    setBusy(true);
    setSaid(await work);
    await again();
    setBusy(false);
  };
  return (
    <div className="p-4">
      <section aria-label="Proposed changes" className="mb-6">
        <h2 className="mb-1 font-semibold">Use this take</h2>
        <p className="mb-2">
          {takes.length === 1 ? 'From this take' : `From ${takes.length} takes of this class`}
          {nextSeconds !== null && `: as you usually teach, this class would last ${formatClock(nextSeconds)}.`}
        </p>
        {proposals.length === 0 && <p>The class already matches how you teach it: nothing to change.</p>}
        <ul className="flex flex-col gap-2">
          {proposals.map((proposal) => (
            <li
              key={`${proposal.kind} ${proposal.step}`}
              className="border-base-300 flex flex-wrap items-center gap-x-3 gap-y-1 border-b pb-2"
            >
              <span className="w-24 font-semibold">{PROPOSAL_NAMES[proposal.kind]}</span>
              <span className="min-w-64 flex-1">
                {proposalSentence(proposal, names.get(proposal.step ?? '') ?? '')}
              </span>
              <Buttons
                proposal={proposal}
                busy={busy}
                onClass={() => void act(takeIntoClass(classId, proposal))}
                onVoice={() => void act(takeIntoVoice(proposal))}
                onLibrary={() => void act(takeIntoLibrary(classId, proposal))}
              />
            </li>
          ))}
        </ul>
        <p role="status" className="mt-2 min-h-6 font-semibold">
          {said && (
            <>
              <Check size={16} aria-hidden className="mr-1 inline" />
              {said.words}{' '}
              {said.undo && (
                <button
                  type="button"
                  className="btn btn-xs"
                  disabled={busy}
                  onClick={() => said.undo && void act(takeIntoClass(classId, { edit: said.undo, kind: null }))}
                >
                  Undo
                </button>
              )}
            </>
          )}
        </p>
      </section>
      <PredictionChart names={takes.map(({ name }) => name)} predictions={predictions} />
    </div>
  );
}

interface ButtonsProps {
  readonly proposal: Proposal;
  readonly busy: boolean;
  readonly onClass: () => void;
  readonly onVoice: () => void;
  readonly onLibrary: () => void;
}

function Buttons({ proposal: { kind }, busy, onClass, onVoice, onLibrary }: ButtonsProps) {
  return (
    <span className="flex flex-wrap gap-2">
      <button type="button" className="btn btn-sm btn-primary" disabled={busy} onClick={onClass}>
        Use in the class
      </button>
      {kind === 'voice' && (
        <button type="button" className="btn btn-sm" disabled={busy} onClick={onVoice}>
          Save as my voice
        </button>
      )}
      {kind === 'teach' && (
        <button type="button" className="btn btn-sm" disabled={busy} onClick={onLibrary}>
          Save in the library too
        </button>
      )}
    </span>
  );
}
