import { useState } from 'react';
import type { ClassResponse } from '@/api/classes';
import { send } from '@/api/client';
import { copyPlan, FIT_WAYS, LIMITS, type Length } from '@/core/plan';
import type { Timeline } from '@/core/timeline';
import { formatClock, formatDifference } from '@/core/units';
import { WAY_WORDS, whyNot } from '@/messages/fit';
import { Choice } from '@/ui/parts/Choice';
import { ClockField } from '@/ui/parts/ClockField';
import { TextField } from '@/ui/parts/TextField';
import type { LengthFit } from '@/workers/fitter/protocol';

interface Props {
  readonly length: Length;
  readonly found: LengthFit | null;
  readonly timeline: Timeline | null;
  readonly onChange: (part: Partial<Length>) => void;
  readonly onRemove: () => void;
  readonly onPrompter: (plan: LengthFit['plan']) => void;
  readonly onPublish: (plan: LengthFit['plan']) => void;
}

/** One length: its name and target, what it lands on, and what can be done with it. */
export function LengthHead({ length, found, timeline, onChange, onRemove, onPrompter, onPublish }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const off = timeline ? Math.round(timeline.runtimeSeconds) - Math.round(length.targetSeconds) : 0;
  const makeClass = async (): Promise<void> => {
    if (!found) return;
    const plan = copyPlan(() => crypto.randomUUID(), found.plan);
    const answer = await send<ClassResponse>('POST', '/api/classes', { from: 'plan', plan });
    if (answer.ok) location.assign(`/classes/${answer.value.id}`);
    else setTrouble(answer.problem.detail);
  };
  return (
    <th scope="col" className="text-base-content w-52 align-bottom font-normal">
      <TextField
        label={`Name of the length of ${formatClock(length.targetSeconds)}`}
        hideLabel
        needed
        className="text-right font-semibold"
        value={length.name}
        max={LIMITS.titleCharacters}
        onChange={(name) => onChange({ name })}
      />
      <div className="flex items-end justify-end gap-3 text-right">
        <ClockField
          bare="minutes"
          label="target"
          className="w-20! px-0! text-right"
          seconds={length.targetSeconds}
          min={LIMITS.targetSeconds.min}
          max={LIMITS.targetSeconds.max}
          onChange={(targetSeconds) => onChange({ targetSeconds })}
        />
        <span className="pb-1 text-right">
          <span className="quiet-ink block text-sm">planned</span>
          <span className="font-semibold">{timeline ? formatClock(timeline.runtimeSeconds) : '…'}</span>
        </span>
      </div>
      <p className={`text-right text-sm ${off === 0 ? 'quiet-ink' : 'text-accent'}`} aria-live="polite">
        {timeline && (off === 0 ? 'on target' : `vs target: ${formatDifference(off)}`)}
      </p>
      {found && !found.fit.feasible && (
        <p className="text-accent text-right text-sm">{whyNot(found.fit, length.targetSeconds)}</p>
      )}
      <div className="flex justify-end">
        <Choice
          label={`How ${length.name} is fitted`}
          hideLabel
          value={length.way}
          options={FIT_WAYS.map((value) => ({ value, label: WAY_WORDS[value].name }))}
          onChange={(way) => onChange({ way })}
        />
      </div>
      <div className="mt-1 flex flex-wrap justify-end gap-1" role="group" aria-label={length.name}>
        <button type="button" className="btn btn-xs" disabled={!found} onClick={() => found && onPrompter(found.plan)}>
          Prompter
        </button>
        <button type="button" className="btn btn-xs" disabled={!found} onClick={() => found && onPublish(found.plan)}>
          Publish
        </button>
        <button type="button" className="btn btn-xs" disabled={!found} onClick={() => void makeClass()}>
          Save as a class
        </button>
        <button type="button" className="btn btn-xs text-error" onClick={onRemove}>
          Remove<span className="sr-only"> {length.name}</span>
        </button>
      </div>
      {trouble && (
        <p role="alert" className="text-error text-sm">
          {trouble}
        </p>
      )}
    </th>
  );
}
