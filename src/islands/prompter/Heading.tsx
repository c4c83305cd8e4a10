import { BREATH_WORDS } from '@/messages/breath';
import { findPerformed, type ClassPlan } from '@/core/plan';
import { performedName, sideTold, type TimedPhase, type TimedStep } from '@/core/timeline';

/** Which side the instructor moves, and which word they say for it. */
function toldOf(phase: TimedPhase, plan: ClassPlan): { readonly word: string; readonly told: string } {
  const step = findPerformed(plan, phase.step)?.step;
  if (!phase.side || step?.kind !== 'movement') return { word: '', told: '' };
  const { word, mine, way } = sideTold(phase.side, step, plan.style);
  const direction = way === '' ? '' : `, ${way}`;
  return { word, told: mine === '' ? `${word}${direction}` : `you move your ${mine}, say “${word}”${direction}` };
}

interface Props {
  readonly plan: ClassPlan;
  readonly timed: TimedStep | null;
  readonly phase: TimedPhase | null;
}

/** The movement with its round and side, to be read from afar, and below it what the breath does. */
export function Heading({ plan, timed, phase }: Props) {
  const performed = timed ? findPerformed(plan, timed.step) : null;
  const name = performed ? performedName(performed, plan.style) : '';
  const counted = phase !== null && phase.round > 0 && timed !== null && timed.rounds > 0;
  const { word, told } = phase ? toldOf(phase, plan) : { word: '', told: '' };
  const breath = phase ? [BREATH_WORDS[phase.kind], phase.action.replaceAll('{side}', word)].filter(Boolean) : [];
  return (
    <div data-testid="count">
      <h2 className="prompter-told font-semibold">
        <span>{name}</span>
        {counted && <span className="text-primary"> · {`round ${phase.round} of ${timed.rounds}`}</span>}
        {told && <span className="text-primary"> · {told}</span>}
      </h2>
      <p className="min-h-9 text-3xl max-md:text-xl">{breath.join(' · ')}</p>
    </div>
  );
}
