import { Printer } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import type { MovementMedia as Media } from '@/api/movements';
import { performedIn, type Step, stepsInOrder } from '@/core/plan';
import {
  type Cue,
  expandPlan,
  groupRounds,
  performedName,
  type RoundGroup,
  sideTold,
  spellTimeline,
  type TimedStep,
  type Timeline,
} from '@/core/timeline';
import { itemAt, formatClock } from '@/core/units';
import { type Spelling, type TeachingStyle } from '@/core/words';
import { CAUTION_WORDS } from '@/messages/movement';
import { roundsWords } from '@/messages/sides';
import { AppHead } from '@/ui/layout/AppHead';
import { MovementMedia } from '@/ui/parts/MovementMedia';
import { CameraCard } from './CameraCard';

interface Props {
  readonly studio: string;
  readonly stored: ClassResponse;
  readonly spelling: Spelling;
  /** Pictures of movements, by the movement in the library. */
  readonly pictures: Readonly<Record<string, Media>>;
}

/** The class as a script to read from and to print: large words, with times, rounds and sides in the margin. */
export function ReadingScript({ studio, stored, spelling, pictures }: Props) {
  const { plan } = stored;
  const [card, setCard] = useState(() => location.hash === '#card');
  useEffect(() => history.replaceState(null, '', card ? '#card' : location.pathname), [card]);
  const timeline = spellTimeline(expandPlan(plan), spelling);
  const timed = new Map(timeline.steps.map((step) => [step.step, step]));
  const cautions = [
    ...new Set(stepsInOrder(plan).flatMap(({ step }) => (step.kind === 'movement' ? step.cautions : []))),
  ];
  return (
    <div className="reading-script bg-base-100 mx-auto min-h-dvh max-w-4xl print:min-h-0 px-8 py-3 max-sm:px-3">
      <div className="no-print mb-4">
        <AppHead
          studio={studio}
          trail={[{ href: `/classes/${stored.id}`, words: plan.title }]}
          title={card ? 'Camera card' : 'Script to print'}
        >
          <button type="button" className="btn btn-sm" aria-pressed={card} onClick={() => setCard(!card)}>
            {card ? 'Full script' : 'Camera card'}
          </button>
          <button type="button" className="btn btn-sm btn-primary" onClick={() => window.print()}>
            <Printer size={14} aria-hidden />
            Print
          </button>
        </AppHead>
      </div>
      <main id="main" tabIndex={-1}>
        <h2 className="font-serif text-3xl font-semibold">{plan.title}</h2>
        <p className="quiet-ink">
          {formatClock(timeline.runtimeSeconds)} · breath {plan.pace.breathSeconds.toFixed(1)} s
          {plan.focus && ` · ${plan.focus}`}
          {plan.audience && ` · ${plan.audience}`}
        </p>
        {cautions.length > 0 && (
          <p className="quiet-ink text-sm">
            Cautions in it: {cautions.map((caution) => CAUTION_WORDS[caution].name).join(', ')}. Reminders only: a
            doctor, licensed practice and local rules come first.
          </p>
        )}
        {card && <CameraCard plan={plan} timeline={timeline} />}
        {(card ? [] : plan.sections).map((section, index) => (
          <section key={section.id} aria-label={section.title}>
            <h3 className="border-base-300 mt-6 flex break-after-avoid justify-between border-b text-xl font-semibold">
              {section.title}
              <span className="quiet-ink font-normal">
                {formatClock(itemAt(timeline.sections, index).startSeconds)}
              </span>
            </h3>
            {performedIn(section).map((one) => {
              const { step } = one;
              const place = timed.get(step.id);
              if (!place || step.skipped) return null;
              return (
                <StepScript
                  key={step.id}
                  step={step}
                  name={performedName(one, plan.style)}
                  timed={place}
                  timeline={timeline}
                  style={plan.style}
                  pictures={pictures}
                />
              );
            })}
          </section>
        ))}
        <p className="quiet-ink mt-6 text-right">ends {formatClock(timeline.runtimeSeconds)}</p>
      </main>
    </div>
  );
}

/** Lines of a step that are kept on one page; a longer one runs on, so that no page stays half empty. */
const TOGETHER_AT_MOST = 9;

interface StepProps {
  readonly pictures: Props['pictures'];
  readonly step: Step;
  readonly name: string;
  readonly timed: TimedStep;
  readonly timeline: Timeline;
  readonly style: TeachingStyle;
}

function StepScript({ step, name, timed, timeline, style, pictures }: StepProps) {
  const source = step.kind === 'movement' ? step.source : null;
  const picture = source ? pictures[source.movementId] : undefined;
  const cues = timeline.cues.slice(...timed.cueRange);
  const phases = timeline.phases.slice(...timed.phaseRange);
  const groups = step.kind === 'movement' ? groupRounds(cues, phases, false) : [];
  const folded = groups.filter((group) => group.folded);
  const inFold = new Set(folded.flatMap((group) => group.cues));
  const entries = [
    ...cues.filter((cue) => !inFold.has(cue)).map((cue) => ({ at: cue.startSeconds, cue, group: null })),
    ...folded.map((group) => ({ at: group.startSeconds, cue: null, group })),
  ].sort((a, b) => a.at - b.at);
  return (
    <article
      aria-label={name}
      className={`mt-3 ${entries.length <= TOGETHER_AT_MOST ? 'break-inside-avoid-page' : ''}`}
    >
      {picture && source && (
        <MovementMedia
          movementId={source.movementId}
          name={step.name}
          media={picture}
          className="float-right ml-4 max-h-32 max-w-40 rounded"
        />
      )}
      <h4 className="break-after-avoid font-semibold">
        {name} <span className="quiet-ink font-normal">{aboutStep(step, timed)}</span>
      </h4>
      {entries.map(({ at, cue, group }) =>
        cue ? <Line key={cue.id} cue={cue} margin={marginOf(cue, step, style)} /> : <Fold key={at} group={group} />,
      )}
    </article>
  );
}

function aboutStep(step: Step, timed: TimedStep): string {
  const length = formatClock(timed.endSeconds - timed.startSeconds);
  if (step.kind !== 'movement' || timed.rounds === 0) return length;
  return `${roundsWords(timed.rounds, step.sides)} · ${length}`;
}

/** Round and side of a line, as the instructor needs them beside it. */
function marginOf(cue: Cue, step: Step, style: TeachingStyle): string {
  const round = cue.round > 0 ? String(cue.round) : '';
  if (!cue.side || step.kind !== 'movement') return round;
  const { word, mine, way } = sideTold(cue.side, step, style);
  if (mine === '') return `${round} ${way}`.trim();
  return [round, word, mine === word ? '' : `(your ${mine})`, way].filter(Boolean).join(' ');
}

function Line({ cue, margin }: { readonly cue: Cue; readonly margin: string }) {
  return (
    <p className="grid break-inside-avoid grid-cols-[3.5rem_8.5rem_1fr] max-sm:grid-cols-[2.8rem_4.5rem_1fr] gap-3 py-0.5 nth-2:break-after-avoid nth-last-2:break-after-avoid">
      <span className="quiet-ink text-right">{formatClock(cue.startSeconds)}</span>
      <span className="quiet-ink">{margin}</span>
      <span className="font-serif text-xl leading-7">{cue.text}</span>
    </p>
  );
}

function Fold({ group }: { readonly group: RoundGroup }) {
  const words = [...new Set(group.cues.map((cue) => cue.text))].join(' ');
  return (
    <p className="grid break-inside-avoid grid-cols-[3.5rem_8.5rem_1fr] max-sm:grid-cols-[2.8rem_4.5rem_1fr] gap-3 py-0.5 nth-2:break-after-avoid nth-last-2:break-after-avoid">
      <span className="quiet-ink text-right">{formatClock(group.startSeconds)}</span>
      <span className="quiet-ink">
        {group.firstRound} to {group.lastRound}
      </span>
      <span className="font-serif text-xl leading-7">{words === '' ? <em>no words</em> : words}</span>
    </p>
  );
}
