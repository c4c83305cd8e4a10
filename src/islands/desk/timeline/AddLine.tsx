import { Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { isCounted, spokenLines, type SpokenLine } from '@/core/movement';
import { contractOf, isMovement, isTalk, setFields, type Step } from '@/core/plan';
import { duringEdit, hasDuring } from './during-edit';
import { NewLine } from './NewLine';
import { viewOf } from '../steps';
import { useDeskStore } from '../use-desk';

/**
 * Adds a line where a step has room for one more: a talk at its end, a movement before its rounds, others where they
 * have none; and over what runs by itself, where there is room.
 */
export function AddLine({ step }: { readonly step: Step }) {
  const [writing, setWriting] = useState<'line' | 'during' | null>(null);
  const desk = useDeskStore();
  const line = useRef<HTMLButtonElement>(null);
  const during = useRef<HTMLButtonElement>(null);
  const kinds = [
    ...(withLine(step, ANY_LINE) ? ([{ kind: 'line', words: '', button: line }] as const) : []),
    ...(hasDuring(step) ? ([{ kind: 'during', words: duringWords(step), button: during }] as const) : []),
  ];
  if (writing === null) {
    return (
      <div className="no-print mt-1 ml-12 flex flex-wrap gap-1 max-md:ml-2">
        {kinds.map(({ kind, words, button }) => (
          <button
            key={kind}
            ref={button}
            type="button"
            className="btn btn-xs btn-ghost"
            onClick={() => setWriting(kind)}
          >
            <Plus size={12} aria-hidden />
            Add a line{words}
            <span className="sr-only"> to {step.name}</span>
          </button>
        ))}
      </div>
    );
  }
  const done = (said: string): void => {
    const edit = said === '' ? null : writing === 'during' ? duringEdit(step, said) : lineEdit(step, said);
    if (edit) desk.edit(edit);
    const { button } = kinds.find(({ kind }) => kind === writing) ?? { button: line };
    setWriting(null);
    requestAnimationFrame(() => button.current?.focus());
  };
  return (
    <div className="mt-1 pr-3 pl-12 max-md:pl-2" onClick={(event) => event.stopPropagation()}>
      <NewLine
        label={`New line${writing === 'during' ? duringWords(step) : ''} of ${step.name}`}
        placeholder={writing === 'during' ? 'Said where there is room' : viewOf(step).lineHint(step)}
        onDone={done}
      />
    </div>
  );
}

function duringWords(step: Step): string {
  return isMovement(step) && isCounted(step.pacedBy) ? ' during the rounds' : ' while it lasts';
}

function lineEdit(step: Step, said: string): ReturnType<typeof setFields> {
  const [line] = spokenLines(() => crypto.randomUUID(), [said]);
  const longer = line ? withLine(step, line) : null;
  return longer && setFields(step, longer);
}

/** Tells whether there is room for one more. */
const ANY_LINE: SpokenLine = { id: '', text: '', pauseSeconds: 0, layer: null };

/** The step with one more line; the empty one of a new talk makes room for it. */
function withLine(step: Step, line: SpokenLine): Step | null {
  const bare = isTalk(step) ? { ...step, lines: step.lines.filter(({ text }) => text.trim() !== '') } : step;
  return contractOf(bare).withLine(bare, line);
}
