import { useState } from 'react';
import { asksRounds, isCounted, PACINGS, SIDE_PLANS, stretchCount } from '@/core/movement';
import { askTime, INTROS, LIMITS, VIEWS, type MovementStep } from '@/core/plan';
import { moreRoundsSeconds, sharePercent, type TimedStep } from '@/core/timeline';
import { formatClock, formatDifference } from '@/core/units';
import { INTRO_WORDS, PACING_WORDS, SIDE_PLAN_WORDS } from '@/messages/movement';
import { withEach } from '@/messages/sides';
import { CheckBox } from '@/ui/parts/CheckBox';
import { Choice } from '@/ui/parts/Choice';
import { ClockField } from '@/ui/parts/ClockField';
import { Counter } from '@/ui/parts/Counter';
import { NumberField } from '@/ui/parts/NumberField';
import { AboutFields } from '@/ui/movement/AboutFields';
import { CountBounds } from '@/ui/movement/CountBounds';
import { PatternEditor } from '@/ui/movement/PatternEditor';
import { WordFields } from '@/ui/movement/WordFields';
import { FitWords } from '../words/FitWords';
import type { SetStepField } from '../inspector/set-field';
import { useAskFor } from './use-ask-for';
import { useDesk, useDeskStore } from '../use-desk';

interface Props {
  readonly step: MovementStep;
  readonly timed: TimedStep;
  readonly set: SetStepField<MovementStep>;
}

/** A movement: counts, sides, breath, what is taught and what is said on each phase. */
export function MovementFields({ step, timed, set }: Props) {
  const { breathSeconds, inhaleShare } = timed;
  const keptFitted = useDesk((state) => state.plan.keepWordsFitted);
  return (
    <div className="flex flex-col">
      <Choice
        label="Paced by"
        value={step.pacedBy}
        options={PACINGS.map((value) => ({ value, label: PACING_WORDS[value] }))}
        onChange={(value) => set('pacedBy', value)}
      />
      <Counts step={step} timed={timed} />
      <CountBounds movement={step} set={set} />
      <CheckBox
        label={asksRounds(step.pacedBy) ? 'Pin these rounds' : 'Pin this time'}
        checked={step.pinned}
        onChange={(pinned) => set('pinned', pinned)}
      />
      <Choice
        label="Sides"
        value={step.sides}
        options={SIDE_PLANS.map((value) => ({ value, label: SIDE_PLAN_WORDS[value] }))}
        onChange={(value) => set('sides', value)}
      />
      {step.sides !== 'together' && (
        <Choice
          label="Starts"
          value={step.startSide}
          options={
            step.sides === 'both-directions'
              ? [
                  { value: 'left', label: 'anticlockwise, from above' },
                  { value: 'right', label: 'clockwise, from above' },
                ]
              : [
                  { value: 'left', label: 'left' },
                  { value: 'right', label: 'right' },
                ]
          }
          onChange={(value) => set('startSide', value)}
        />
      )}
      <NumberField
        label={`Breath × class’s: ${breathSeconds.toFixed(1)} s`}
        unit="×"
        digits={2}
        step={0.05}
        value={step.paceMultiplier}
        {...LIMITS.paceMultiplier}
        onChange={(value) => set('paceMultiplier', value)}
      />
      <CheckBox
        label="Own inhale share"
        checked={step.inhaleShare !== null}
        onChange={(own) => set('inhaleShare', own ? inhaleShare : null)}
      />
      {step.inhaleShare !== null && (
        <NumberField
          label="Inhale share"
          unit="%"
          value={Math.round(step.inhaleShare * 100)}
          min={LIMITS.inhaleShare.min * 100}
          max={LIMITS.inhaleShare.max * 100}
          onChange={(value) => set('inhaleShare', value / 100)}
        />
      )}
      {isCounted(step.pacedBy) && (
        <PatternEditor
          pattern={step.pattern}
          pace={{ breathSeconds, inhaleShare }}
          onChange={(pattern) => set('pattern', pattern)}
        />
      )}
      <Choice
        label="Camera view"
        value={step.view}
        options={VIEWS.map((value) => ({ value, label: `from the ${value}` }))}
        onChange={(view) => set('view', view)}
      />
      <FitWords stepId={step.id} />
      <Choice
        label="Said around the rounds"
        value={step.intro}
        options={INTROS.map((value) => ({ value, label: INTRO_WORDS[value] }))}
        onChange={(intro) => set('intro', intro)}
      />
      <WordFields
        movement={step}
        teachTitle={`Taught first,  ${formatClock(timed.teachSeconds)} by speech`}
        set={set}
        keptFitted={keptFitted}
      />
      <About step={step} set={set} />
    </div>
  );
}

/** Names, stances, levels, cautions: drawn only while they are looked at, since every edit draws what is open. */
function About({ step, set }: { readonly step: MovementStep; readonly set: SetStepField<MovementStep> }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="mt-3" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer font-semibold">Names, stances, levels, cautions</summary>
      {open && <AboutFields movement={step} set={set} />}
    </details>
  );
}

function timeLabel({ pacedBy, sides }: MovementStep, rounds: string): string {
  if (pacedBy === 'clock') return `Time, in whole rounds: ${rounds}`;
  const both = stretchCount(sides) > 1 ? ', all sides together' : '';
  return pacedBy === 'held' ? `Held for${both}` : `Time at own pace${both}`;
}

/** Rounds or time as they stand, and what one more or one fewer would do to the class. */
function Counts({ step, timed }: { readonly step: MovementStep; readonly timed: TimedStep }) {
  const desk = useDeskStore();
  const askFor = useAskFor(step);
  const share = useDesk((state) => sharePercent(state.timeline, timed));
  const change = formatDifference(moreRoundsSeconds(step, timed));
  const unit = step.multiple === 1 ? 'round' : `${step.multiple} rounds`;
  if (!asksRounds(step.pacedBy)) {
    return (
      <>
        <ClockField
          label={timeLabel(step, withEach(`${timed.rounds}`, step.sides))}
          seconds={step.seconds}
          {...LIMITS.countedSeconds}
          onChange={(seconds) => askFor(seconds)}
        />
        <p className="quiet-ink text-sm">
          {step.pacedBy === 'clock' && `One ${withEach(`${unit} more`, step.sides)}: ${change}. `}
          {share} % of the class.
        </p>
      </>
    );
  }
  return (
    <>
      <Counter
        label={withEach('Rounds', step.sides)}
        value={step.rounds}
        min={1}
        max={LIMITS.rounds}
        step={step.multiple}
        onChange={(rounds) => askFor(rounds)}
      />
      <p className="quiet-ink text-sm">
        One {withEach(`${unit} more`, step.sides)}: {change}
        {step.rounds > step.multiple && `; fewer: −${change.slice(1)}`}. {share} % of the class.
      </p>
      {step.pacedBy === 'breath-then-own-pace' && (
        <ClockField
          label="Then at own pace for"
          seconds={step.seconds}
          {...LIMITS.countedSeconds}
          onChange={(seconds) => {
            const edit = askTime(step, seconds);
            if (edit) desk.edit(edit, `${step.id} time`);
          }}
        />
      )}
    </>
  );
}
