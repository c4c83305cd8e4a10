import { useId, useState } from 'react';
import { linesOfProse, proseOf } from '@/core/script';
import { LIMITS, setFields, timeAround, type TalkStep } from '@/core/plan';
import type { TimedStep } from '@/core/timeline';
import { tempoWords } from '@/messages/fit';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ClockField } from '@/ui/parts/ClockField';
import { TimeBounds } from '@/ui/movement/TimeBounds';
import { NumberField } from '@/ui/parts/NumberField';
import { SpokenLines } from '@/ui/parts/SpokenLines';
import { useDesk, useDeskStore } from '../use-desk';
import { useAskFor } from './use-ask-for';
import type { SetStepField } from '../inspector/set-field';

/** The talk as running prose, its pauses in brackets; taken over when it is left. */
function Prose({ step, set }: { readonly step: TalkStep; readonly set: SetStepField<TalkStep> }) {
  const { pauseSeconds } = useDesk((state) => state.plan.voice);
  const [prose, setProse] = useState<string | null>(null);
  const id = useId();
  if (prose === null) {
    return (
      <button
        type="button"
        className="btn btn-xs mb-2 self-start"
        onClick={() => setProse(proseOf(step.lines, pauseSeconds))}
      >
        Edit as prose
      </button>
    );
  }
  const lines = linesOfProse(() => crypto.randomUUID(), prose, pauseSeconds);
  const long = lines.find((line) => [...line.text].length > LIMITS.lineCharacters);
  const many = lines.length > LIMITS.spokenLines;
  return (
    <div className="mb-2">
      <label htmlFor={id} className="quiet-ink text-sm">
        Write pauses in brackets: (3 s)
      </label>
      <textarea
        id={id}
        rows={8}
        className="textarea w-full font-serif text-base"
        value={prose}
        onChange={(event) => setProse(event.target.value)}
      />
      {(long || many) && (
        <p role="alert" className="text-error text-sm">
          {many
            ? `${lines.length} sentences; at most ${LIMITS.spokenLines}.`
            : `A sentence is longer than ${LIMITS.lineCharacters} characters.`}
        </p>
      )}
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-xs btn-primary"
          disabled={long !== undefined || many}
          onClick={() => {
            set('lines', lines);
            setProse(null);
          }}
        >
          Use these {lines.length} lines
        </button>
        <button type="button" className="btn btn-xs" onClick={() => setProse(null)}>
          Cancel
        </button>
      </div>
    </div>
  );
}

interface Fields {
  readonly step: TalkStep;
  readonly set: SetStepField<TalkStep>;
}

/** A talk: its lines, and its time, or how much slower or quicker the fit may have it said. */
export function TalkFields({ step, timed, set }: Fields & { readonly timed: TimedStep }) {
  const desk = useDeskStore();
  const length = timed.endSeconds - timed.startSeconds;
  return (
    <div className="flex flex-col">
      <SpokenLines title="Lines" lines={step.lines} onChange={(lines) => set('lines', lines)} />
      <Prose step={step} set={set} />
      <CheckBox
        label="Planned time"
        title="For words that are not all written down"
        checked={step.timed}
        onChange={(timed) => {
          const edit = setFields(step, { timed, ...(timed ? timeAround(length) : {}) });
          if (edit) desk.edit(edit);
        }}
      />
      {step.timed ? <TalkTime step={step} set={set} /> : <Tempo step={step} set={set} />}
      <CheckBox
        label="Contains a caution: never skipped"
        checked={step.caution}
        onChange={(caution) => set('caution', caution)}
      />
    </div>
  );
}

/** The time that a talk has, and how far the fit may go from it. */
function TalkTime({ step, set }: Fields) {
  const askFor = useAskFor(step);
  const { min, max } = LIMITS.countedSeconds;
  return (
    <>
      <ClockField label="Time" seconds={step.seconds} min={min} max={max} onChange={askFor} />
      <TimeBounds timed={step} set={set} />
      <CheckBox label="Pin this time" checked={step.pinned} onChange={(pinned) => set('pinned', pinned)} />
    </>
  );
}

/** How fast its words are said, and how far the fit may go from it. */
function Tempo({ step, set }: Fields) {
  const { tempo } = LIMITS;
  return (
    <>
      <h3 className="font-semibold">Tempo: {tempoWords(step.tempo)}</h3>
      <NumberField
        label="May be faster, down to"
        unit="%"
        value={Math.round(step.minTempo * 100)}
        min={tempo.min * 100}
        max={Math.round(step.maxTempo * 100)}
        onChange={(value) => set('minTempo', value / 100)}
      />
      <NumberField
        label="May be slower, up to"
        unit="%"
        value={Math.round(step.maxTempo * 100)}
        min={Math.round(step.minTempo * 100)}
        max={tempo.max * 100}
        onChange={(value) => set('maxTempo', value / 100)}
      />
      <CheckBox label="Pin this tempo" checked={step.pinned} onChange={(pinned) => set('pinned', pinned)} />
    </>
  );
}
