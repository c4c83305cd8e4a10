import { memo, useMemo, useState } from 'react';
import { formOn, FORMS } from '@/core/movement';
import { isMovement, LIMITS, setFields, setStep, type CueSource, type MovementStep, type Step } from '@/core/plan';
import { withForm } from '@/core/script';
import { roundsPerformed, type TimedStep, type Timeline } from '@/core/timeline';
import { formatClock } from '@/core/units';
import { roundsWords } from '@/messages/sides';
import { Plus } from 'lucide-react';
import { AddLine } from './AddLine';
import { BreathLine } from './BreathLine';
import { CueLine } from './CueLine';
import { duringEdit } from './during-edit';
import { layOutStep, stepColumns, type PlacedCue, type PlacedGroup, type StepColumns, type StepLayout } from './layout';
import { NewLine } from './NewLine';
import { viewOf } from '../steps';
import { useDeskStore } from '../use-desk';

interface Props {
  readonly step: Step;
  readonly timed: TimedStep;
  /** Only where the step is open: a folded one has no use for it. */
  readonly timeline: Timeline | null;
  readonly width: number;
  /** Of the runtime, in whole hundredths. */
  readonly share: number;
  readonly open: boolean;
  readonly selected: boolean;
  /** Which of how many steps it is, where they are shown one at a time. */
  readonly place: string | null;
  readonly onToggle: (stepId: string) => void;
}

/** One step on the strip: its heading, its breath line, and each cue at the place where it is said. */
export const StepBlock = memo(function StepBlock({
  step,
  timed,
  timeline,
  width,
  share,
  open,
  selected,
  place,
  onToggle,
}: Props) {
  const desk = useDeskStore();
  const [unfolded, setUnfolded] = useState(false);
  const columns = useMemo(() => stepColumns(width), [width]);
  return (
    <article
      id={`step-${step.id}`}
      aria-label={step.name}
      className={`border-l-4 py-2 pl-2 ${selected ? 'border-primary bg-secondary/40' : 'border-transparent'}`}
      onClick={(event) => {
        // On a phone the heading chooses and lets go by itself.
        if (place === null || !(event.target as Element).closest('[aria-expanded]')) desk.select(step.id);
      }}
    >
      <div className="flex min-h-8 items-baseline gap-2">
        <span className="quiet-ink w-11 shrink-0 text-right text-sm max-md:w-9 max-md:text-left">
          {formatClock(timed.startSeconds)}
        </span>
        <button
          type="button"
          className="min-h-8 min-w-0 flex-1 rounded px-1 text-left"
          aria-expanded={open}
          onClick={() => onToggle(step.id)}
        >
          <span className="font-semibold">{step.name}</span>{' '}
          {/* One step at a time: what is folded says its name and length alone. */}
          {(place === null || open) && (
            <span className="quiet-ink text-sm max-md:block">
              {place !== null && `${place} · `}
              {aboutStep(step, timed)}
            </span>
          )}
        </button>
        <span className="ml-auto shrink-0 text-right text-sm max-md:max-w-40">
          {amountOf(step, timed)}
          {!step.skipped && <span className="quiet-ink inline-block w-11 text-right max-md:hidden">{share} %</span>}
        </span>
        {open && selected && (
          <button
            type="button"
            className="btn btn-xs self-center md:hidden"
            onClick={(event) => {
              event.stopPropagation();
              desk.showFields(true);
            }}
          >
            Change<span className="sr-only"> {step.name}</span>
          </button>
        )}
      </div>
      {open && timeline && !step.skipped && (
        <OpenStep
          step={step}
          timed={timed}
          timeline={timeline}
          columns={columns}
          unfolded={unfolded}
          onUnfold={() => setUnfolded(!unfolded)}
        />
      )}
      {open && !step.skipped && <AddLine step={step} />}
    </article>
  );
}, sameStep);

/** A step whose place and content stayed is not drawn again. */
function sameStep(before: Props, after: Props): boolean {
  return (
    before.step === after.step &&
    before.timeline === after.timeline &&
    before.width === after.width &&
    before.open === after.open &&
    before.selected === after.selected &&
    before.share === after.share &&
    before.place === after.place &&
    before.onToggle === after.onToggle &&
    before.timed.startSeconds === after.timed.startSeconds &&
    before.timed.endSeconds === after.timed.endSeconds
  );
}

function aboutStep(step: Step, timed: TimedStep): string {
  if (step.skipped) return 'skipped';
  return viewOf(step).about(step, timed);
}

function amountOf(step: Step, timed: TimedStep): string {
  if (step.skipped) return step.pinned ? 'pinned' : '—';
  const length = formatClock(timed.endSeconds - timed.startSeconds);
  const pinned = step.pinned ? ', pinned' : '';
  if (timed.rounds === 0) return `${length}${pinned}`;
  const rounds = roundsWords(timed.rounds, isMovement(step) ? step.sides : 'together');
  return `${rounds}${pinned} · ${length}`;
}

/** A line that is being written, with the text of the plan that it is. */
interface Writing {
  readonly placed: PlacedCue;
  readonly source: CueSource;
}

/**
 * The lines with the one that is being written among them. It may be said no longer: emptied, its round folded with
 * others alike, or given another form by fitting the words; its place then stays until it is left.
 */
function withWritten(cues: readonly PlacedCue[], writing: Writing | null): readonly PlacedCue[] {
  if (!writing || cues.some(({ cue }) => cue.id === writing.placed.cue.id)) return cues;
  const at = cues.filter(({ y }) => y < writing.placed.y).length;
  return cues.toSpliced(at, 0, { ...writing.placed, late: false });
}

interface OpenProps {
  readonly step: Step;
  readonly timed: TimedStep;
  readonly timeline: Timeline;
  readonly columns: StepColumns;
  readonly unfolded: boolean;
  readonly onUnfold: () => void;
}

function OpenStep({ step, timed, timeline, columns, unfolded, onUnfold }: OpenProps) {
  const layout = useMemo(
    () => layOutStep(step, timed, timeline, columns, unfolded),
    [step, timed, timeline, columns, unfolded],
  );
  const [writing, setWriting] = useState<Writing | null>(null);
  const [adding, setAdding] = useState<PlacedGroup | null>(null);
  const placed = withWritten(layout.cues, writing);
  return (
    <div className="relative mt-1" style={{ height: layout.height }}>
      {columns.clock > 0 && <ClockMarks timed={timed} layout={layout} />}
      <div className="absolute top-0" style={{ left: columns.clock + 8 }}>
        <BreathLine phases={layout.phases} yOf={layout.yOf} height={layout.height} width={columns.breath} />
      </div>
      {layout.groups.map((group) => (
        <RoundMark
          key={`${group.firstRound}-${group.startSeconds}`}
          group={group}
          step={step as MovementStep}
          timed={timed}
          left={columns.clock + columns.breath + 14}
          onUnfold={onUnfold}
          onAdd={() => setAdding(group)}
        />
      ))}
      {adding && <RoundLine step={step} group={adding} columns={columns} onDone={() => setAdding(null)} />}
      <ol aria-label={`Lines of ${step.name}`}>
        {placed.map((one) => (
          <CueLine
            key={one.cue.id}
            placed={one}
            step={step}
            columns={columns}
            writing={writing?.placed.cue.id === one.cue.id ? writing.source : null}
            onWrite={(on) => setWriting(on ? { placed: one, source: one.cue.source } : null)}
          />
        ))}
      </ol>
      {unfolded && (
        <button type="button" className="btn btn-xs absolute right-2 top-0" onClick={onUnfold}>
          Fold rounds alike
        </button>
      )}
    </div>
  );
}

/** Times down the left edge, every ten seconds, left out where they would run into each other. */
function ClockMarks({ timed, layout }: { readonly timed: TimedStep; readonly layout: StepLayout }) {
  const marks: { seconds: number; y: number }[] = [];
  for (let seconds = Math.ceil(timed.startSeconds / 10) * 10; seconds < timed.endSeconds; seconds += 10) {
    const y = layout.yOf(seconds);
    const last = marks.at(-1);
    if (y > 8 && (!last || y - last.y >= 40)) marks.push({ seconds, y });
  }
  return (
    <div aria-hidden>
      {marks.map(({ seconds, y }) => (
        <span key={seconds} className="quiet-ink absolute w-11 text-right text-xs" style={{ top: y - 8, left: 0 }}>
          {formatClock(seconds)}
        </span>
      ))}
    </div>
  );
}

function RoundMark({
  group,
  step,
  timed,
  left,
  onUnfold,
  onAdd,
}: {
  readonly group: PlacedGroup;
  readonly step: MovementStep;
  readonly timed: TimedStep;
  readonly left: number;
  readonly onUnfold: () => void;
  readonly onAdd: () => void;
}) {
  if (!group.folded) {
    return (
      <RoundForm
        round={group.firstRound}
        step={step}
        top={group.y}
        left={left}
        roomy={group.height >= ROOM_FOR_FORM}
        onAdd={onAdd}
      />
    );
  }
  const words = [...new Set(group.cues.map((cue) => cue.text))].join(' ');
  const count = group.lastRound - group.firstRound + 1;
  return (
    <button
      type="button"
      className="quiet-ink absolute min-h-6 rounded text-left text-sm"
      style={{ top: group.y + 4, left }}
      onClick={onUnfold}
      title={`${roundsPerformed(step, timed)} rounds in all; press to see each`}
    >
      <span className="text-base-content font-semibold">
        {group.firstRound} to {group.lastRound}
      </span>{' '}
      · {count} rounds alike, {words === '' ? 'no words' : <span className="font-serif">{words}</span>}
    </button>
  );
}

/** A round that is lower than this, in pixels, has room for its number alone. */
const ROOM_FOR_FORM = 48;

interface RoundFormProps {
  readonly round: number;
  readonly step: MovementStep;
  readonly top: number;
  readonly left: number;
  readonly roomy: boolean;
  readonly onAdd: () => void;
}

/** A line that is written beside a round: it is said on that round. */
function RoundLine({
  step,
  group,
  columns,
  onDone,
}: {
  readonly step: Step;
  readonly group: PlacedGroup;
  readonly columns: StepColumns;
  readonly onDone: () => void;
}) {
  const desk = useDeskStore();
  const { firstRound } = group;
  return (
    <div
      className="bg-base-100 absolute z-20 rounded p-1 shadow"
      style={{ top: group.y, left: columns.clock + columns.breath + columns.round + 16, width: columns.text }}
      onClick={(event) => event.stopPropagation()}
    >
      <NewLine
        label={`New line of ${step.name}, round ${firstRound}`}
        placeholder={`Said on round ${firstRound}`}
        onDone={(said) => {
          const edit = said === '' ? null : duringEdit(step, said, firstRound);
          if (edit) desk.edit(edit);
          onDone();
        }}
      />
    </div>
  );
}

/** A round's number, to say something on it, and, where the words are, which form is said on it; choosing one locks it. */
function RoundForm({ round, step, top, left, roomy, onAdd }: RoundFormProps) {
  const desk = useDeskStore();
  const locked = step.fadePins.includes(round);
  const choose = (value: string): void => {
    const form = FORMS.find((one) => one === value);
    const pins = step.fadePins.filter((one) => one !== round);
    if (!form) desk.edit(setStep(step, 'fadePins', pins));
    else if (round <= LIMITS.fade) {
      const fade = withForm(step.fade, round, form).slice(0, LIMITS.fade);
      const edit = setFields<MovementStep>(step, {
        fade,
        fadePins: [...pins, round].sort((one, other) => one - other),
      });
      if (edit) desk.edit(edit);
    }
  };
  return (
    <span className="absolute flex w-12 flex-col" style={{ top, left }} onClick={(event) => event.stopPropagation()}>
      <button
        type="button"
        className="hover:bg-base-200 group flex min-h-6 items-center gap-0.5 rounded px-0.5 text-left text-sm leading-5 font-semibold"
        title={`Say something on round ${round}`}
        onClick={onAdd}
      >
        <span className="sr-only">Say something on round </span>
        {round}
        <Plus size={12} aria-hidden className="quiet-ink" />
      </button>
      {roomy && (
        <select
          className={`hover:bg-base-200 h-6 w-12 cursor-pointer appearance-none rounded text-xs ${locked ? 'text-primary font-semibold' : 'quiet-ink'}`}
          aria-label={`Words of round ${round}${locked ? ', locked' : ''}`}
          title={locked ? 'Locked: fitting the words leaves it' : 'Which words are said on this round'}
          value={formOn(step.fade, round)}
          onChange={(event) => choose(event.target.value)}
        >
          {FORMS.map((form) => (
            <option key={form} value={form}>
              {form}
            </option>
          ))}
          {locked && <option value="let-go">unlock</option>}
        </select>
      )}
    </span>
  );
}
