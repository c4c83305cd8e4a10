import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { spokenLines, type SpokenLine } from '@/core/movement';
import { contractOf, isTalk, setFields, type Step } from '@/core/plan';
import { TextField } from '@/ui/parts/TextField';
import { LINE_LIMIT } from './cue-text';
import { viewOf } from '../steps';
import { useDeskStore } from '../use-desk';

/** Adds a line where a step has room for one more: a talk at its end, a movement before its rounds, others where they have none. */
export function AddLine({ step }: { readonly step: Step }) {
  const desk = useDeskStore();
  const [writing, setWriting] = useState(false);
  const text = useRef('');
  const button = useRef<HTMLButtonElement>(null);
  if (!withLine(step, ANY_LINE)) return null;
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
        placeholder={viewOf(step).lineHint(step)}
        className="text-lg leading-6"
        max={LINE_LIMIT}
        value=""
        onChange={(typed) => {
          text.current = typed;
        }}
        onDone={() => {
          const said = text.current.trim();
          const [line] = said === '' ? [] : spokenLines(() => crypto.randomUUID(), [said]);
          const longer = line ? withLine(step, line) : null;
          const edit = longer && setFields(step, longer);
          if (edit) desk.edit(edit);
          setWriting(false);
          requestAnimationFrame(() => button.current?.focus());
        }}
      />
    </div>
  );
}

/** Tells whether there is room for one more. */
const ANY_LINE: SpokenLine = { id: '', text: '', pauseSeconds: 0, layer: null };

/** The step with one more line; the empty one of a new talk makes room for it. */
function withLine(step: Step, line: SpokenLine): Step | null {
  const bare = isTalk(step) ? { ...step, lines: step.lines.filter(({ text }) => text.trim() !== '') } : step;
  return contractOf(bare).withLine(bare, line);
}
