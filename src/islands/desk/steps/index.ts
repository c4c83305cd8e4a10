import { asksRounds, type SidePlan } from '@/core/movement';
import type { Step, StepKind, StepOf } from '@/core/plan';
import { moreRoundsSeconds } from '@/core/timeline';
import { formatClock, takenAs } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { roundsWords } from '@/messages/sides';
import { onDemand } from '@/ui/parts/on-demand';
import type { StepView } from './step-view';

const SIDES: Readonly<Record<SidePlan, string>> = {
  together: 'both sides together',
  alternating: 'alternating sides',
  'one-then-other': 'one side, then the other',
  'both-directions': 'both directions',
  'turn-by-turn': 'alternating sides, turn by turn',
  'both-directions-each-side': 'both directions on each side',
  'one-side': 'one side',
};

/** The sides of a movement, and which where it is one. */
const sidesOf = ({ sides, startSide }: StepOf<'movement'>): string =>
  sides === 'one-side' ? `${startSide} side only` : SIDES[sides];

const MovementFields = onDemand(() => import('./fields').then((its) => its.MovementFields));
const TalkFields = onDemand(() => import('./fields').then((its) => its.TalkFields));
const SilenceFields = onDemand(() => import('./fields').then((its) => its.SilenceFields));
const TransitionFields = onDemand(() => import('./fields').then((its) => its.TransitionFields));

type Views = { readonly [Kind in StepKind]: StepView<StepOf<Kind>> };

const VIEWS: Views = {
  movement: {
    Fields: MovementFields,
    about: (step, timed) => {
      if (step.pacedBy === 'own-pace') return 'at their own pace';
      if (step.pacedBy === 'held') return step.sides === 'together' ? 'held still' : `held still, ${sidesOf(step)}`;
      const per = step.multiple === 1 ? 'per round' : `per ${step.multiple} rounds`;
      const round = `±${formatClock(moreRoundsSeconds(step, timed))} ${per}`;
      return `${sidesOf(step)} · ${timed.breathSeconds.toFixed(1)} s a breath · ${round}`;
    },
    amount: (step) => {
      if (!asksRounds(step.pacedBy)) return formatClock(step.seconds);
      const rounds = roundsWords(step.rounds, step.sides);
      return step.pacedBy === 'breath' ? rounds : `${rounds}, then ${formatClock(step.seconds)}`;
    },
    lineHint: () => 'What you say before the rounds',
    scale: 9,
  },
  talk: {
    Fields: TalkFields,
    about: () => 'spoken',
    amount: () => '',
    lineHint: () => 'What you say',
    scale: 5,
  },
  silence: {
    Fields: SilenceFields,
    about: ({ name, eyesClosed }) => {
      // A silence that nobody named has said so.
      const words = [...(name === NEW_NAMES.silence ? [] : ['silence']), ...(eyesClosed ? ['eyes closed'] : [])];
      return words.join(', ');
    },
    amount: (step) => formatClock(step.seconds),
    lineHint: (step) =>
      step.openingLine.trim() === '' ? 'What you say at the start' : 'What you say to call people back',
    scale: 2.2,
    tallest: 190,
  },
  transition: {
    Fields: TransitionFields,
    about: () => 'transition',
    amount: () => '',
    lineHint: () => 'What you say',
    scale: 6,
  },
};

/** What the desk shows of a step. */
export function viewOf<One extends Step>(step: One): StepView<One> {
  // A step and its kind's view belong together; the compiler does not follow that through a union.
  return takenAs<StepView<One>>(VIEWS[step.kind]);
}

/** Fetches the fields of every kind, so that a step that is chosen shows its own at once. */
export async function loadFields(): Promise<void> {
  await Promise.all([MovementFields, TalkFields, SilenceFields, TransitionFields].map((fields) => fields.load()));
}
