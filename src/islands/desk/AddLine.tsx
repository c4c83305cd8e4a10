import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { spokenLines } from '@/core/movement';
import type { Edit, Step } from '@/core/plan';
import { TextField } from '@/ui/parts/TextField';
import { asJson } from '../movement/set-content';
import { LINE_LIMIT } from './cue-text';
import { useDeskStore } from './use-desk';

/** Adds a line where a step has room for one more: a talk at its end, a movement before its rounds, others where they have none. */
export function AddLine({ step }: { readonly step: Step }) {
  const desk = useDeskStore();
  const [writing, setWriting] = useState(false);
  const text = useRef('');
  const button = useRef<HTMLButtonElement>(null);
  if (!hasRoom(step)) return null;
  if (!writing) {
    return (
      <button
        ref={button}
        type="button"
        className="btn btn-xs btn-ghost no-print mt-1 ml-12 max-md:ml-2"
        onClick={() => {
          text.current = '';
          setWriting(true);
        }}
      >
        <Plus size={12} aria-hidden />
        Add a line<span className="sr-only"> to {step.name}</span>
      </button>
    );
  }
  return (
    <div className="mt-1 pr-3 pl-12 max-md:pl-2" onClick={(event) => event.stopPropagation()}>
      <TextField
        label={`New line of ${step.name}`}
        hideLabel
        spoken
        startFocused
        placeholder={PLACEHOLDERS[step.kind]}
        className="text-lg leading-6"
        most={LINE_LIMIT}
        value=""
        onChange={(typed) => {
          text.current = typed;
        }}
        onDone={() => {
          const said = text.current.trim();
          if (said !== '') desk.edit(editFor(step, said));
          setWriting(false);
          requestAnimationFrame(() => button.current?.focus());
        }}
      />
    </div>
  );
}

const PLACEHOLDERS: Readonly<Record<Step['kind'], string>> = {
  talk: 'What you say',
  movement: 'What you say before the rounds',
  quiet: 'What you say at the start',
  transition: 'What you say',
};

function hasRoom(step: Step): boolean {
  if (step.kind === 'quiet') return step.openingLine.trim() === '';
  return step.kind !== 'transition' || step.line.trim() === '';
}

function editFor(step: Step, text: string): Edit {
  const set = (field: string, value: unknown): Edit => ({
    kind: 'set-step',
    stepId: step.id,
    field,
    value: asJson(value) as never,
  });
  const added = spokenLines(() => crypto.randomUUID(), [text]);
  if (step.kind === 'talk') return set('lines', [...step.lines.filter((line) => line.text.trim() !== ''), ...added]);
  if (step.kind === 'movement') return set('teach', [...step.teach, ...added]);
  return set(step.kind === 'quiet' ? 'openingLine' : 'line', text);
}
